# Shared by ./demo, ./test and .ci/run: a known environment, and the packages of packages.txt.
export LC_ALL=C.UTF-8 TZ=UTC
# Precompiled headers and ccache get on only with these.
export CCACHE_SLOPPINESS=pch_defines,time_macros,include_file_mtime,include_file_ctime
root=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)

say() { printf '%s\n' "$*" >&2; }

# packages SECTION…: the names listed under these sections.
packages() {
  local wanted=" $* " section="" line
  while IFS= read -r line; do
    case "$line" in
      '#'*|'') ;;
      '['*) section=${line//[\[\]]/} ;;
      *) [[ $wanted == *" $section "* ]] && printf '%s\n' "$line" ;;
    esac
  done < "$root/packages.txt"
}

# install_packages SECTION…: installs what is missing; no apt call when nothing is.
install_packages() {
  local missing=() name
  for name in $(packages "$@"); do
    [[ $(dpkg-query -W -f '${db:Status-Status}' "$name" 2>/dev/null) == installed ]] || missing+=("$name")
  done
  [[ ${#missing[@]} -eq 0 ]] && return 0
  local as=()
  if [[ $(id -u) -ne 0 ]]; then
    if command -v sudo >/dev/null && sudo -n true 2>/dev/null; then
      as=(sudo)
    else
      say "Some Debian packages are missing and need root. Run this line, then start again:"
      say "  sudo apt-get update && sudo apt-get install --no-install-recommends ${missing[*]}"
      exit 1
    fi
  fi
  say "Installing ${#missing[@]} Debian packages: ${missing[*]}"
  local apt=("${as[@]}" env DEBIAN_FRONTEND=noninteractive apt-get -q -o DPkg::Lock::Timeout=300)
  "${apt[@]}" update >&2
  "${apt[@]}" install -y --no-install-recommends "${missing[@]}" >&2
}

# build PRESET [cmake options…]: configures and builds; quiet unless it fails.
build() {
  local preset=$1; shift
  local log="$root/build/$preset.log"
  mkdir -p "$root/build"
  say "Building ($preset)…"
  if ! (cd "$root" && cmake --preset "$preset" "$@" && cmake --build --preset "$preset") > "$log" 2>&1; then
    tail -60 "$log" >&2
    say "The build failed; the whole log is in build/$preset.log"
    exit 1
  fi
}

# A folder for Qt where the session has none (a bare machine).
if [[ -z ${XDG_RUNTIME_DIR:-} || ! -d ${XDG_RUNTIME_DIR:-/none} ]]; then
  XDG_RUNTIME_DIR=$(mktemp -d); chmod 700 "$XDG_RUNTIME_DIR"; export XDG_RUNTIME_DIR
fi
