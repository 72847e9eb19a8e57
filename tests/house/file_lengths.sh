#!/usr/bin/env bash
# No source file over 500 lines.
cd "$1" || exit 1
long=$(find src tests demo-kitchen \( -name '*.cpp' -o -name '*.h' \) -print0 | xargs -0 wc -l | awk '$2 != "total" && $1 > 500 {print $2 " has " $1 " lines"}')
count=$(find src tests demo-kitchen \( -name '*.cpp' -o -name '*.h' \) | wc -l)
[[ $count -gt 50 ]] || { echo "only $count files were found: the check looks in the wrong place"; exit 1; }
[[ -z $long ]] && exit 0
echo "$long"; exit 1
