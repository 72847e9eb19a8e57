#!/usr/bin/env bash
# A folder sees only the folders its CMakeLists links. Each case compiles one include with the include
# paths of one target, as the build itself wrote them: the first of each pair must pass, the second fail.
set -u
compiler=$1 build=$2 source=$3
work=$(mktemp -d); trap 'rm -rf "$work"' EXIT
failures=0

# flags FILE: the -I and -isystem flags with which the build compiles a source file.
flags() {
  python3 - "$build/compile_commands.json" "$source/$1" <<'P'
import json, shlex, sys
for entry in json.load(open(sys.argv[1])):
    if entry["file"] == sys.argv[2]:
        words = shlex.split(entry["command"])
        out = []
        for i, w in enumerate(words):
            if w.startswith("-I"): out.append(w)
            elif w == "-isystem": out += [w, words[i + 1]]
        print("\n".join(out)); break
else:
    sys.exit("not compiled: " + sys.argv[2])
P
}

# try FILE INCLUDE pass|fail
try() {
  mapfile -t paths < <(flags "$1")
  printf '#include "%s"\nint main() {}\n' "$2" > "$work/case.cpp"
  if "$compiler" -std=c++20 -fsyntax-only "${paths[@]}" "$work/case.cpp" 2> "$work/why"; then got=pass; else got=fail; fi
  if [[ $got != "$3" ]]; then
    echo "include \"$2\" from $1: expected to $3, did $got"; tail -3 "$work/why"; failures=$((failures + 1))
  fi
}

try src/heat/boundary.cpp food/composition.h pass
try src/heat/boundary.cpp kitchen/site.h fail
try src/heat/boundary.cpp book/book.h fail
try src/heat/boundary.cpp QString fail
try src/quantity/water.cpp numeric/roots.h fail
try src/kitchen/site.cpp heat/material.h fail
try src/kitchen/site.cpp QWidget fail
try src/rating/protocols/block.cpp trace/series.h pass
try src/rating/protocols/block.cpp heat/material.h fail
try src/rating/protocols/block.cpp generator/bodies.h fail
try src/cook/cook.cpp rating/protocols/block.h fail
try src/cook/cook.cpp recipe/recipe.h pass
try src/recipe/recipe.cpp cook/cook.h fail
try src/json/strict_json.cpp heat/material.h fail
try src/cook/cook.cpp heat/material.h pass
try src/translate/search.cpp book/book.h fail
try src/translate/search.cpp words/say.h fail
try src/rating/protocols/block.cpp words/say.h fail
try src/words/say.cpp rating/reduce.h pass
try src/words/say.cpp book/book.h fail
try src/translate/search.cpp app/document/document.h fail
try src/formats/csv_rows.cpp book/book.h fail
try src/formats/csv_rows.cpp QString fail
try src/book/book.cpp formats/csv_rows.h fail
try src/cli/main.cpp QString fail
try src/app/document/document.cpp book/book.h pass
try src/app/document/document.cpp app/widgets/plot.h fail
try src/app/widgets/plot.cpp app/document/document.h pass
try src/app/widgets/plot.cpp app/shell/main_window.h fail
try src/app/rate/rate_page.cpp app/translate/translate_page.h fail
try src/app/translate/translate_page.cpp app/kitchen/kitchen_page.h fail
try src/app/kitchen/kitchen_page.cpp app/shell/main_window.h fail
try tests/reference/cvode_food.cpp heat/material.h fail
[[ $failures -eq 0 ]] && echo "33 includes behave as the folders promise"
exit $((failures > 0))
