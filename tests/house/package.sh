#!/usr/bin/env bash
# The installation and the Debian package: package.sh BUILD SOURCE. Standards: desktop entry, AppStream,
# shared MIME info, Debian policy by lintian.
set -u
build=$1 source=$2
work=$(mktemp -d); trap 'rm -rf "$work"' EXIT
failures=0
no() { echo "FAILED: $*"; failures=$((failures + 1)); }
id=org.dynamet.Dynamet

# A prefix of one's own: everything is there, and what was installed runs.
cmake --install "$build" --prefix "$work/own" > "$work/log" 2>&1 || no "cmake --install: $(tail -3 "$work/log")"
for file in bin/dynamet bin/dynamet-cli bin/dynamet-simkitchen bin/dynamet-simpanel share/dynamet/demo.dynamet \
  share/applications/$id.desktop share/metainfo/$id.metainfo.xml share/mime/packages/$id.xml \
  share/icons/hicolor/16x16/apps/$id.png share/icons/hicolor/512x512/apps/$id.png share/icons/hicolor/scalable/apps/$id.svg \
  share/man/man1/dynamet.1.gz share/man/man1/dynamet-cli-translate.1.gz share/bash-completion/completions/dynamet-cli \
  share/doc/dynamet/guide/index.md; do
  [[ -s $work/own/$file ]] || no "$file is not installed"
done
version=$(sed -n 's/^project(Dynamet VERSION \([0-9.]*\).*/\1/p' "$source/CMakeLists.txt")
for program in dynamet dynamet-cli; do
  QT_QPA_PLATFORM=offscreen "$work/own/bin/$program" --version 2> /dev/null | grep -qF "$version" || no "$program is not version $version"
done
"$work/own/bin/dynamet-cli" book check "$work/own/share/dynamet/demo.dynamet" > /dev/null || no "the demo book"

# Every verb has a page, and the completion knows every verb and its options.
for verb in $("$work/own/bin/dynamet-cli" --help | sed -n '/^Subcommands:/,$s/^  \([a-z][a-z-]*\) .*/\1/p'); do
  page=$work/own/share/man/man1/dynamet-cli-$verb.1.gz
  [[ -s $page ]] || { no "no man page of $verb"; continue; }
  zcat "$page" | man -l --warnings - 2> "$work/man" > /dev/null && [[ ! -s $work/man ]] || no "man page of $verb: $(head -2 "$work/man")"
done
complete_for() { # the words completed for a line
  bash -c '. "$1"; shift; COMP_WORDS=("$@"); COMP_CWORD=$(($# - 1)); _dynamet_cli; printf "%s\n" "${COMPREPLY[@]}"' _ \
    "$work/own/share/bash-completion/completions/dynamet-cli" "$work/own/bin/dynamet-cli" "$@"
}
complete_for tran | grep -qx translate || no "completion of a verb"
complete_for translate book --qu | grep -qx -- --quick || no "completion of an option"

desktop-file-validate "$work/own/share/applications/$id.desktop" || no "desktop file"
appstreamcli validate --no-net "$work/own/share/metainfo/$id.metainfo.xml" > "$work/log" 2>&1 || no "AppStream: $(cat "$work/log")"
cp -r "$work/own/share/mime" "$work/mime"
update-mime-database "$work/mime" > /dev/null 2>&1 || no "MIME"
grep -q '50:application/vnd.dynamet.book:\*.dynamet' "$work/mime/globs2" || no "MIME glob"
cmp -s -n 4 -i 68:0 "$work/own/share/dynamet/demo.dynamet" <(printf 'DYNM') || no "the bytes that the MIME type looks for"

# The Debian package.
(cd "$build" && cpack -G DEB -B "$work/deb") > "$work/log" 2>&1 || no "cpack: $(tail -5 "$work/log")"
deb=$(ls "$work"/deb/dynamet_*.deb 2> /dev/null)
if [[ -n $deb ]]; then
  lintian --fail-on error "$deb" > "$work/lintian" 2>&1 || no "lintian: $(cat "$work/lintian")"
  dpkg-deb -f "$deb" Version | grep -qF "$version" || no "version of the package"
  dpkg-deb -f "$deb" Depends | grep -q libqt6widgets6 || no "the package's libraries"
  dpkg-deb -x "$deb" "$work/root"
  QT_QPA_PLATFORM=offscreen "$work/root/usr/bin/dynamet" --demo-book "$work/root/usr/share/dynamet/demo.dynamet" \
    --screenshot "$work/shot.png" --view rate > /dev/null 2>&1 || no "the packaged program"
  [[ -s $work/shot.png ]] || no "a picture from the packaged program"
  cp "$deb" "$build/" # for who built it
else
  no "no package"
fi
exit $((failures > 0))
