#!/usr/bin/env python3
"""large_log.py CLI: a log of 200 MB is read within 600 MB of memory, a file of one endless line is
refused at once."""
import os, resource, subprocess, sys, tempfile, time

cli = sys.argv[1]
folder = tempfile.mkdtemp(prefix="dynamet-large-")


def run(path):
    before = time.monotonic()
    child = subprocess.Popen([cli, "rate", "preheat", "--log", path, "--with", "set_C=180", "--column", "Oven air (°C)=air"],
                             stdout=subprocess.PIPE, stderr=subprocess.STDOUT, text=True)
    words = child.stdout.read()
    _, status, used = os.wait4(child.pid, 0)
    return os.waitstatus_to_exitcode(status), used.ru_maxrss / 1024, time.monotonic() - before, words


def expect(holds, words):
    if not holds:
        sys.exit(words)


try:
    path = f"{folder}/long.csv"
    with open(path, "w") as out:  # a row a second for two months, three probes
        out.write("Time,Oven air (°C),Core (°C),Room (°C)\n")
        at, written = 0, 0
        while written < 200e6:
            part = []
            for i in range(at, at + 86400):
                clock = f"{i // 3600 % 24:02}:{i // 60 % 60:02}:{i % 60:02}"
                air = 20 + i * 0.26 if i < 600 else 180 + i % 7 * 0.1
                part.append(f"2026-{i // 86400 // 28 + 1:02}-{i // 86400 % 28 + 1:02} {clock},{air:.1f},64.1,22.3\n")
            at += 86400
            written += out.write("".join(part))
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
