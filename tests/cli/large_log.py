#!/usr/bin/env python3
"""large_log.py CLI: a log of 200 MB is read within 600 MB of memory, a file of one endless line is
refused at once."""
import os, resource, subprocess, sys, tempfile, time

cli = sys.argv[1]
folder = tempfile.mkdtemp(prefix="dynamet-large-")


def run(path, *more):
    before = time.monotonic()
    child = subprocess.Popen([cli, "rate", "preheat", "--log", path, "--with", "set_C=180", *more],
                             stdout=subprocess.PIPE, stderr=subprocess.STDOUT, text=True)
    words = child.stdout.read()
    _, status, used = os.wait4(child.pid, 0)
    return os.waitstatus_to_exitcode(status), used.ru_maxrss / 1024, time.monotonic() - before, words


def expect(holds, words):
    if not holds:
        sys.exit(words)


try:
    path = f"{folder}/long.csv"
    with open(path, "w") as out:
        out.write("Time (s),Oven air (°C)\n")
        lines = [f"{{}},{180 + i % 7 * 0.1:.1f}".replace("{}", "%d") for i in range(7)]
        at, written = 0, 0
        while written < 200e6:
            part = "".join(lines[i % 7] % (at + i) + "\n" if at + i > 600 else f"{at + i},{20 + (at + i) * 0.26:.1f}\n"
                           for i in range(200000))
            at += 200000
            written += out.write(part)
    code, used, took, words = run(path)
    print(f"{os.path.getsize(path) / 1e6:.0f} MB, {at} rows: {used:.0f} MB in {took:.1f} s")
    expect(code == 0, words)
    expect(used < 600, f"{used:.0f} MB for a log of 200 MB")

    path = f"{folder}/line.csv"
    with open(path, "w") as out:
        out.write("Time (s),Oven air (°C)\n" + "0,20," * 40_000_000)
    code, used, took, words = run(path)
    print(f"one line of {os.path.getsize(path) / 1e6:.0f} MB: exit {code}, {used:.0f} MB in {took:.1f} s: {words.strip()[:120]}")
    expect(code != 0, "a file of one line was read")
    expect(used < 600, f"{used:.0f} MB for a file that is refused")
finally:
    subprocess.run(["rm", "-rf", folder])
