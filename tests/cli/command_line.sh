#!/usr/bin/env bash
# dynamet-cli as a stranger would call it: exit status, JSON, reasons.
set -u
cli=$1 demo=$2 source=$3
work=$(mktemp -d); trap 'rm -rf "$work"' EXIT
failures=0
no() { echo "FAILED: $*"; failures=$((failures + 1)); }

# expect STATUS WORDS COMMAND…: exit status, and words in the output (stdout and stderr).
expect() {
  local status=$1 words=$2; shift 2
  "$@" > "$work/out" 2> "$work/err"; local got=$?
  [[ $got -eq $status ]] || no "$* ended $got, not $status: $(cat "$work/err")"
  grep -qF -- "$words" "$work/out" "$work/err" || no "$* does not say \"$words\": $(head -c 400 "$work/out" "$work/err")"
}
# json FIELD: a value of the last --json output.
json() { python3 -c "import json,sys; print(eval('d'+sys.argv[2], {'d': json.load(open(sys.argv[1]))}))" "$work/out" "$1"; }

cp "$demo/demo.dynamet" "$work/k.dynamet"
cat > "$work/case.json" <<'J'
{"piece": {"shape": "slab", "thickness_m": 0.03, "properties": {"k": 0.45, "rho": 1050, "c": 3500}, "start_C": 5},
 "stages": [{"duration_s": 900, "top": {"air_C": 200, "h": 15}, "bottom": {"plate": {"C": 230, "contact": 400}}, "turn_after": false}],
 "report_every_s": 30, "pressure_Pa": 101325}
J
expect 0 core_at_end_C "$cli" simulate "$work/case.json" --json
[[ $(json "['t_s'][-1]") == 900.0 && $(json "['format']") == dynamet-simulate-result ]] || no "the end of the case"
sed 's/"slab"/"block"/' "$work/case.json" > "$work/block.json"
expect 2 "\"width_m\" is missing" "$cli" simulate "$work/block.json"
sed 's/"slab"/"block", "width_m": 0.05/' "$work/case.json" > "$work/block.json"
expect 0 side_C "$cli" simulate "$work/block.json" --json
sed 's/"h": 15/"hh": 15/' "$work/case.json" > "$work/key.json"
expect 2 '"hh" is not known' "$cli" simulate "$work/key.json"
# 141: cases that would run for ever or fill the memory
sed -E 's/"duration_s": ?[0-9.e]+/"duration_s": 1e12/' "$work/case.json" > "$work/long.json"
expect 2 "30 days" "$cli" simulate "$work/long.json"
sed 's/"report_every_s": 30/"report_every_s": 1e-300/' "$work/case.json" > "$work/often.json"
expect 2 "report_every_s" "$cli" simulate "$work/often.json"
expect 1 "No such file" "$cli" simulate "$work/nowhere.json"
echo '{"piece": {' > "$work/broken.json"
expect 1 "not JSON" "$cli" simulate "$work/broken.json"

printf 'Roast at 425 for 20 minutes, then rest 10 minutes.' > "$work/recipe.txt"
expect 0 "425" "$cli" words --text "$work/recipe.txt"
expect 0 dynamet-words "$cli" words --text "$work/recipe.txt" --json
[[ $(json "['bindings'][0]['start']") == 9 && $(json "['bindings'][0]['end']") == 12 && $(json "['bindings'][2]['kind']") == rest ]] || no "where words stand"
[[ $(json "['bindings'][0]['low']") == 491.48* ]] || no "425 is °F"
expect 2 "scale" "$cli" words --text "$work/recipe.txt" --scale K
printf '{"@type": "Recipe", "name": "N", "recipeInstructions": "Bake at 180C."}' > "$work/recipe.json"
expect 0 "180C" "$cli" words --text "$work/recipe.json" --json
[[ $(json "['text']") == "Bake at 180C." ]] || no "the recipe's text"
echo '{"@type": "Thing"}' > "$work/thing.json"
expect 1 "no schema.org Recipe" "$cli" words --text "$work/thing.json"

printf 'Take the salmon, 25 mm thick, from the fridge. Roast at 400 for 15 minutes.' > "$work/salmon.txt"
expect 0 "salmon" "$cli" rewrite "$work/k.dynamet" --text "$work/salmon.txt" --from "Shelf oven" --to "Basket fryer"
expect 0 dynamet-rewrite "$cli" rewrite "$work/k.dynamet" --text "$work/salmon.txt" --from "Shelf oven" --to "Basket fryer" --json
[[ $(json "['text'][0:42]") == "Take the salmon, 25 mm thick, from the fri" && $(json "['changes'][0]['old_start']") -gt 40 ]] || no "what was rewritten"
expect 1 "no appliance" "$cli" rewrite "$work/k.dynamet" --text "$work/salmon.txt" --from "Nowhere" --to "Basket fryer"
expect 0 "What would narrow it" "$cli" narrow "$work/k.dynamet" --recipe "Caraway pork loin" --to "Wall fan oven"
expect 0 dynamet-narrow "$cli" narrow "$work/k.dynamet" --recipe "Caraway pork loin" --to "Wall fan oven" --json
[[ $(json "['own_time']['used']") == True && $(json "['actions'][0]['narrower_s']") != 0 ]] || no "the author's time"
expect 2 "names the appliance" "$cli" narrow "$work/k.dynamet" --recipe "Caraway pork loin"
expect 0 "narrower over" "$cli" narrow "$work/k.dynamet"

log="$demo/logs/deck-180-evening.csv"
expect 0 "settles at" "$cli" rate preheat --log "$log" --with set_C=180
expect 0 air_K "$cli" rate preheat --log "$log" --with set_C=180 --json
[[ $(json "['quantities'][0]['name']") == air_K && $(json "['quantities'][0]['bound']") == none ]] || no "the first quantity"
expect 2 "does not know the value" "$cli" rate preheat --log "$log" --with set_K=180
expect 2 "outside 40" "$cli" rate block --log "$log" --with limit_C=1e6
expect 2 "is not a number" "$cli" rate preheat --log "$log" --with set_C=180C
expect 2 "given twice" "$cli" rate preheat --log "$log" --with set_C=180 --with set_C=190
expect 2 "choose from air, liquid" "$cli" rate preheat --log "$log" --with medium=soup
expect 2 "needs water_kg" "$cli" rate water-heat-up --log "$log"
expect 0 "heat_from" "$cli" protocols one-face-block
expect 0 dynamet-protocol-list "$cli" protocols --json
expect 1 "no protocol" "$cli" protocols tea-leaves
expect 2 "no role" "$cli" rate preheat --log "$log" --column "Probe B (°C)=water"
expect 2 "" "$cli" rate tea-leaves --log "$log"
head -60 "$log" > "$work/short.csv"
expect 1 "never settled" "$cli" rate preheat --log "$work/short.csv" --with set_C=180
expect 1 refused "$cli" rate preheat --log "$work/short.csv" --with set_C=180 --json
printf "time_s,air C\n0,20\n5,21\n10,2I\n15,22\n" > "$work/bad.csv"
expect 1 "line 4" "$cli" rate preheat --log "$work/bad.csv"
expect 1 '"line":4' "$cli" rate preheat --log "$work/bad.csv" --json

expect 0 "is whole" "$cli" book check "$work/k.dynamet"
expect 1 "not a kitchen book" "$cli" book check "$source/LICENSE"
expect 0 "is ready" "$cli" book new "$work/new.dynamet" --site Loft --altitude 1200
expect 1 "exists already" "$cli" book new "$work/new.dynamet"
expect 0 measured "$cli" field "$work/k.dynamet" "Deck oven" oven=180C
expect 1 "the book has" "$cli" field "$work/k.dynamet" "Moon oven"
expect 2 "off the dial" "$cli" field "$work/k.dynamet" "Deck oven" oven=900C
expect 0 "pull at" "$cli" translate "$work/k.dynamet" --recipe "Caraway pork loin" --to "Wall fan oven"
expect 0 look_s "$cli" translate "$work/k.dynamet" --recipe pork-caraway --to "Basket fryer" --json
[[ $(json "['rows'][0]['appliance']") == "Basket fryer" ]] || no "the row's appliance"
expect 0 "1. Wall fan oven, 95 °C until the core reads 43 °C; then wait 7 min" "$cli" translate "$work/k.dynamet" --recipe venison-fennel --to "Deck oven" --stage 1
expect 0 "1. Deck oven, " "$cli" translate "$work/k.dynamet" --recipe venison-fennel --to "Deck oven" --stage 1
expect 0 watched_stage "$cli" translate "$work/k.dynamet" --recipe venison-fennel --to "Pass griddle" --stage 2 --json
[[ $(json "['stage']") == 2 && $(json "['stages'].__len__()") == 2 ]] || no "the stage that moves"
expect 2 "2 stages, not 3" "$cli" translate "$work/k.dynamet" --recipe venison-fennel --stage 3
expect 1 "no recipe" "$cli" translate "$work/k.dynamet" --recipe "Boiled boot"
expect 0 "%  high" "$cli" find "$work/k.dynamet" "Yard grill" --zone indirect --between 130C..165C --zone direct --between 200C..
expect 0 probability "$cli" find "$work/k.dynamet" "Yard grill" --zone indirect --between 130C..165C --json
[[ $(json "['settings'][0]['setting']") == burners=* && $(json "['format']") == dynamet-find ]] || no "the best setup"
expect 1 "no zone" "$cli" find "$work/k.dynamet" "Yard grill" --zone roof --between 100C..120C
expect 1 "every chance is under" "$cli" find "$work/k.dynamet" "Yard grill" --zone indirect --between 590C..600C
expect 2 "LOW..HIGH" "$cli" find "$work/k.dynamet" "Yard grill" --zone indirect --between warm
expect 0 "boils water with" "$cli" rate boil-off --with start_kg=2.4 --with end_kg=2.1 --with boiled_s=900
expect 0 per_under_K "$cli" rate coal-count --key "under=8 6 12" --key "lid=16 12 10" --key "inside=148 112 141" --json
expect 0 "The surface is at" "$cli" rate surface-map --key "spot=201 205 C" --key "spot=208 199" --with emissivity=0.9
expect 1 "paint or tape" "$cli" rate surface-map --key "spot=201 205 208" --with emissivity=0.3
awk 'BEGIN{print "time_s,air C,floor C"; for(t=0;t<9000;t+=20) printf "%d,%.1f,%.1f\n",t,20+400*exp(-t/3000)*(1-exp(-t/300)),20+(120*exp(-t/1500)+90*exp(-t/9000))*(1-exp(-t/300))+0.4*sin(t)}' > "$work/fire.csv"
expect 0 "falls through 200" "$cli" rate burn-down --log "$work/fire.csv" --with target_C=200
expect 0 "falls through 120" "$cli" rate burn-down --log "$work/fire.csv" --column "floor C=floor" --with target_C=120 --with band_K=10
expect 2 "needs a log" "$cli" rate block
# 147: an unknown zone, an answer that cannot be written, a book called like an address
expect 1 "has no zone" "$cli" field "$work/k.dynamet" "Deck oven" oven=180C attic
"$cli" protocols > /dev/full 2> "$work/err"; [[ $? -eq 1 ]] || no "a full disk"
(cd "$work" && "$cli" book new "file:odd.dynamet?mode=memory" > /dev/null && [[ -f "file:odd.dynamet?mode=memory" ]]) || no "a name is a path"
# 142: what a log leaves open is asked, never taken for granted
printf "Temp C\n20\n21\n22\n23\n24\n" > "$work/timeless.csv"
expect 2 "--interval" "$cli" rate preheat --log "$work/timeless.csv"
expect 1 "at least 30" "$cli" rate preheat --log "$work/timeless.csv" --interval 5
expect 2 "write seconds" "$cli" rate preheat --log "$work/timeless.csv" --interval often
awk 'BEGIN{print "time_s,Probe 1,Probe 2"; for(t=0;t<3000;t+=10) printf "%d,%.1f,%.1f\n",t,20+160*(1-exp(-t/300)),21}' > "$work/two.csv"
expect 2 'column "Probe 1=air"' "$cli" rate preheat --log "$work/two.csv"
expect 0 "settles at" "$cli" rate preheat --log "$work/two.csv" --column "Probe 1=air"
expect 2 "given twice" "$cli" rate preheat --log "$work/two.csv" --column "Probe 1=air" --column "Probe 2=air"
awk 'BEGIN{print "time_s,Setpoint,Oven"; for(t=0;t<5000;t+=10) printf "%d,356,%.1f\n",t,72+290*(1-exp(-t/300))}' > "$work/units.csv"
expect 2 "--unit F" "$cli" rate preheat --log "$work/units.csv"
expect 0 "settles at 18" "$cli" rate preheat --log "$work/units.csv" --unit F --json
[[ $(json "['log']['guessed']") == True ]] || no "what was guessed is said in JSON"
expect 0 "on the lid: the inside comes to" "$cli" coals "$work/k.dynamet" "Camp oven" --inside 180C --job bake
expect 0 per_coal_K "$cli" coals "$work/k.dynamet" "Camp oven" --inside 350F --job simmer --inches 14 --lasts 3h --json
[[ $(json "['format']") == dynamet-coals && $(json "['first']['under'] > d['first']['lid']") == True && $(json "['added'].__len__() > 0") == True ]] || no "a stew's coals lie below and are fed"
expect 2 "no iron oven" "$cli" coals "$work/k.dynamet" "Deck oven" --inside 180C
expect 2 "bake, roast" "$cli" coals "$work/k.dynamet" "Camp oven" --inside 180C --job toast
expect 2 "bring an iron oven to" "$cli" coals "$work/k.dynamet" "Camp oven" --inside 900C
expect 0 "Stacked, from the ground up" "$cli" coals "$work/k.dynamet" "Camp oven" --inside 180C --stacked 2
expect 0 "banked two layers deep" "$cli" coals "$work/k.dynamet" "Ash kettle" --open --layout banked
expect 0 heights "$cli" coals "$work/k.dynamet" "Ash kettle" --open --chimney 0.5 --age 20min --json
[[ $(json "['format']") == dynamet-open-coals && $(json "['heights'][0]['flux_W_m2'] > d['heights'][4]['flux_W_m2']") == True ]] || no "a nearer grate gets more"
expect 2 "even, banked or half" "$cli" coals "$work/k.dynamet" "Ash kettle" --open --layout heap
expect 0 "rated here, last on 20" "$cli" card "$work/k.dynamet" --quick "salmon 25 mm, 200 C 12 min, Deck oven" --to "Basket fryer"
expect 0 provenance "$cli" card "$work/k.dynamet" --recipe pork-caraway --to "Basket fryer" --json
[[ $(json "['format']") == dynamet-card && $(json "['pull'].startswith('pull at')") == True ]] || no "a card says when to take it out"
expect 1 "on what?" "$cli" translate "$work/k.dynamet" --quick "salmon 200 C 12 min"
expect 2 "--recipe names" "$cli" translate "$work/k.dynamet"
expect 0 "look" "$cli" translate "$work/k.dynamet" --recipe pork-caraway --to "Yard grill" --site "Saltmarsh" --air 2C --wind 5
expect 1 "no place of the book" "$cli" translate "$work/k.dynamet" --recipe pork-caraway --site Moon --air 2C
expect 0 "ways" "$cli" translate "$work/k.dynamet" --recipe pork-caraway --to "Circulator tub" --method all --json
[[ $(json "['rows'][0]['ways'][0]['method']") == here_then_sear ]] || no "a bath is seared afterwards"
expect 0 "served at 19:00" "$cli" plan "$work/k.dynamet" --menu "Harvest table"
expect 0 proved_best "$cli" plan "$work/k.dynamet" --menu "Harvest table" --serve 1930 --ics "$work/p.ics" --day 2026-12-01 --json
[[ $(json "['serve']") == 19:30 && $(json "['dishes'].__len__()") == 5 ]] || no "every dish of the menu is planned"
[[ $(json "['chance_all_on_time'] > 0.3") == True && $(json "['cost_bound'] <= d['cost']") == True ]] || no "a plan says its chance and its bound"
grep -q "BEGIN:VEVENT" "$work/p.ics" || no "the calendar has events"
expect 0 "give_up" "$cli" plan "$work/k.dynamet" --menu "Harvest table" --from 18:30 --json
expect 1 "the book has Harvest table" "$cli" plan "$work/k.dynamet" --menu "Brunch"
expect 2 "no time of day" "$cli" plan "$work/k.dynamet" --menu "Harvest table" --serve noonish
expect 2 "nothing is begun before" "$cli" plan "$work/k.dynamet" --menu "Harvest table" --from 20:00
expect 2 "" "$cli" dance
# 208: the house methods of a book cannot be read: no number is worked out with others
cp "$work/k.dynamet" "$work/damaged.dynamet"
python3 -c "
import sqlite3,sys
with sqlite3.connect(sys.argv[1]) as db:
    db.execute(\"INSERT OR REPLACE INTO book_info (key, value) VALUES ('schools', '{')\")" "$work/damaged.dynamet"
unread="the book's choices"
expect 1 "$unread" "$cli" translate "$work/damaged.dynamet" --recipe pork-caraway
expect 1 "$unread" "$cli" narrow "$work/damaged.dynamet"
expect 1 "$unread" "$cli" plan "$work/damaged.dynamet" --menu "Harvest table"
expect 1 "$unread" "$cli" rewrite "$work/damaged.dynamet" --text "$work/salmon.txt" --from "Shelf oven" --to "Basket fryer"
[[ $failures -eq 0 ]] && echo "every call answered as documented"
# A book as open JSON: out, in, out again gives the same bytes; a part of it goes into an empty book.
cp "$demo/demo.dynamet" "$work/demo.dynamet" # an export is remembered in the book
expect 0 "Written" "$cli" book export "$work/demo.dynamet" --to "$work/whole.json"
expect 0 "is made" "$cli" book from "$work/whole.json" "$work/again.dynamet"
"$cli" book export "$work/again.dynamet" > "$work/again.json" 2> "$work/err" || no "export: $(cat "$work/err")"
cmp -s "$work/whole.json" "$work/again.json" || no "export, import, export gives other bytes"
python3 -c "import json,sys; json.load(open(sys.argv[1]))" "$work/whole.json" || no "the bundle is no JSON"
expect 0 "It would add nothing" "$cli" book take-in "$work/again.dynamet" "$work/whole.json" --look
expect 0 "" "$cli" book new "$work/empty.dynamet" --site Here
recipe=$("$cli" book export "$work/demo.dynamet" | python3 -c "
import json,sys
for t in json.load(sys.stdin)['tables']:
    if t['name'] == 'recipe': print(json.loads(t['rows'][0]['recipe_json'])['name'])")
expect 0 "Written" "$cli" book export "$work/demo.dynamet" --recipe "$recipe" --to "$work/part.json"
expect 0 "dynamet-bundle-changes" "$cli" book take-in "$work/empty.dynamet" "$work/part.json" --json
[[ $(json "['written']") == True ]] || no "taken in"
expect 0 "" "$cli" translate "$work/empty.dynamet" --recipe "$recipe" --json
expect 1 "no recipe" "$cli" book export "$work/demo.dynamet" --recipe nowhere
expect 1 "part of a book" "$cli" book from "$work/part.json" "$work/no.dynamet"
head -c 5000 "$work/whole.json" > "$work/cut.json"
expect 1 "cut off" "$cli" book take-in "$work/empty.dynamet" "$work/cut.json"
expect 0 "nothing is missing" "$cli" book salvage "$demo/demo.dynamet" "$work/saved.dynamet"
expect 0 "is whole" "$cli" book check "$work/saved.dynamet"
exit $((failures > 0))
