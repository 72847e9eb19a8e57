// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// What each finding says. "{}" stands for its measures, in their order.
#include "words/say.h"

#include <algorithm>
#include <array>
#include <string_view>

namespace dynamet::words {
namespace {

struct Pattern {
    std::string_view code;
    const char* words;
};

constexpr std::array<Pattern, 189> kPatterns{
    {{"all_at_limit",
      "use an instrument with a higher limit to get a value; a probe past its limit can be ruined"},
     {"already_hotter", "the food is already hotter than wanted"},
     {"appliance_gone", "the appliance is no longer in the book"},
     {"assumed_field", "this heat is only assumed: rate the appliance first"},
     {"band_outside", "the band of \"{}\" should run upwards between {} and {}"},
     {"batches", "{} of its {} pieces fit at once: {} batches, see below"},
     {"bath_loss", "The heater gives {}; {} the lid the bath loses {}."},
     {"bath_moved_too_little", "it rose by {} and cooled by {}: at least {} and {} are needed"},
     {"bath_too_short", "the log needs some minutes of heating and of cooling"},
     {"below_minimum",
      "the core comes to {}, below the official {}. Local codes or a licensed authority decide"},
     {"biot", "the Biot number is {}: the block is hardly at one temperature"},
     {"biot_too_high", "the Biot number is {}: the block is not at one temperature; use a thinner "
                       "block or a better conductor"},
     {"block", "It heats a block like an oven at {} with {} (dry; food gets less)."},
     {"block_at_limit", "the block's probe is at its limit of {}"},
     {"block_pair", "What radiates is at {}; the air is at {}, with a heat transfer of {}."},
     {"block_unmeasured", "the block's mass or area is missing"},
     {"blocks_too_similar",
      "the two blocks are too similar: their emissivities must differ by 0.3 at least"},
     {"boil_not_seen", "the pot never lost weight evenly in this log: log it while it boils, for "
                       "ten minutes at least"},
     {"boil_off", "It boils water with {}."},
     {"boiled_too_short", "boil for at least ten minutes"},
     {"boost_ends", "its boost ends after {}: from then on it cooks on {}"},
     {"burn_down_peak", "It peaks at {} after {}."},
     {"burn_down_target", "It falls through {} after {}, at {} a minute; feed it {} later."},
     {"cavity_map", "{} places are at {} on average; {} is hottest, {} coldest, {} apart."},
     {"ceiling", "{} never reads above {} and stands exactly there {} times: is that the end of "
                 "its range? Then the result is at least this"},
     {"censored", "{} of {} readings are at the probe's limit and count as \"at least\""},
     {"check_too_few", "read at least twice in ice water and twice in boiling water"},
     {"chimney_outside", "fill the chimney so far: 0.25 to {} times"},
     {"coal_bed", "With its other heights: the bed acts {} across and sends out {}; a face half as "
                  "high again would get {}."},
     {"coal_count", "A coal under it is worth {}, one on the lid {}."},
     {"coal_count_alike", "A coal is worth {} on average."},
     {"coal_runs_incomplete", "{} counts under, {} on the lid and {} readings: each run needs all "
                              "three, and there must be two runs at least"},
     {"coals_size_outside", "iron ovens are {} to {} across"},
     {"coals_temperature_outside", "coals bring an iron oven to {} to {}"},
     {"coals_too_many",
      "that takes {} coals, more than the {} that lie on and under one: a smaller "
      "oven, shelter from the wind, or two ovens"},
     {"contact", "contact is this load's: food's own stays assumed"},
     {"core_cooler", "the core comes to {} where the recipe gives {}"},
     {"core_hotter", "the core comes to {} where the recipe gives {}"},
     {"core_overshoots", "the core comes to {} however soon the last stage ends"},
     {"core_stops", "the core stops at {} within {}"},
     {"core_stops_short", "the core stops at {} and should leave at {}"},
     {"creeping",
      "its mean still moves: where it would end is known to {} only; log on for longer"},
     {"crust_darker", "crust darker: {}{} ({}) where the recipe gives {} ({})"},
     {"crust_not_reached", "crust not reached: {}{} ({}) where the recipe gives {} ({})"},
     {"cycling", "the thermostat cycles: put an air probe beside the block, or leave it in for two "
                 "time constants"},
     {"danger_zone", "the core is between {} and {} for {}; common advice is at most 2 h"},
     {"dip_too_small", "the plate dipped by only {}: use a bigger load"},
     {"dry_preheat", "Every square metre of the plate gets {} and loses {} to the room."},
     {"dry_preheat_unweighed", "Cold, it heats by {} a minute. Weigh it to learn the watts."},
     {"early", "read before {} had passed: the ± is wider"},
     {"edges_need_block", "edges stand on a plate when the piece is a block (see Piece)"},
     {"edges_need_plate", "edges can only stand on a plate"},
     {"efficiency_too_high",
      "more heat than energy went in: check the meter, the water and the pot"},
     {"end_core_below_start", "the core it ends at should be above the piece's start temperature"},
     {"face_at_limit", "the block's probe is at its limit of {}: take it away sooner"},
     {"face_down", "A cold face looking down takes {}."},
     {"face_rose_too_little", "the block rose by only {}: leave it until it has risen by {}"},
     {"face_unmeasured", "the block's weight or face is missing"},
     {"face_up", "A cold face looking up takes {}."},
     {"fat_cap_too_thick", "the fat cap should be less than half of the thickness"},
     {"fat_smokes", "{} smokes from about {} and meets {} here: ventilate; these can take it: {}. "
                    "If it burns: lid on, heat off, never water"},
     {"fat_smokes_all", "{} smokes from about {} and meets {} here: ventilate; no fat in the table "
                        "withstands it. If it burns: lid on, heat off, never water"},
     {"fat_smokes_taste",
      "{} smokes from about {} and meets {} here: ventilate; add it at the end, or keep the heat "
      "below that. If it burns: lid on, heat off, never water"},
     {"fell", "{} fell from {} to {} within two minutes, after {}: was the probe out, or the door "
              "open? What came after counts"},
     {"fell_too_little",
      "it has fallen by only {} since its peak: log on until it is colder than you cook"},
     {"fewer_equations", "fewer equations than unknowns"},
     {"fire_at_limit", "the probe is at its limit while the fire peaks: use one with a higher "
                       "limit, or put it in later"},
     {"fit_diverged", "the fit did not converge: {}"},
     {"floor_dip", "The floor's effusivity is {}."},
     {"gain_cannot_be",
      "the gain comes out as {}: is the unit right, and does the water really boil?"},
     {"heater_off_unknown", "say when the heater was switched off; it must be inside the log"},
     {"heights_too_few", "a series needs at least two heights"},
     {"infrared_below_background",
      "the reading is less than the background alone would give: check emissivity and background"},
     {"instrument_check", "Add {} in ice water and {} in boiling water to what it reads."},
     {"kitchen_empty", "the kitchen has no appliance yet: add one first"},
     {"largest_bath", "the most water is what goes from {} to {} within an hour"},
     {"last_stage_by_core", "the last stage ends by the goal or after a time; a core to leave at "
                            "is set as the doneness (see Piece)"},
     {"level_changed", "its level changes from {} to {} after {}: was the door opened, the dial "
                       "turned or the probe moved?"},
     {"liquid_fell", "{} fell from {} to {}, after {}: was something cold put in? How much was "
                     "heated then is not known: start again, or end the log before that"},
     {"little_lost", "only {} boiled away: boil longer"},
     {"load_dip", "The plate stores {} per kelvin and square metre; its burner gives {}."},
     {"load_never_warmed", "the load never warmed: was it set down in this log?"},
     {"load_too_fast", "the load warmed too fast for this log: log at least once a second"},
     {"load_too_short", "leave the load on for at least four minutes"},
     {"load_too_soon", "log the plate for two minutes before the load goes down"},
     {"load_unmeasured", "the load's weight or area is missing"},
     {"map_needs_probes", "a map needs at least two probes: give more columns a place"},
     {"map_needs_spots", "a map needs at least three spots"},
     {"mirror",
      "an emissivity of {} mirrors more than it shows: paint or tape a spot and read that"},
     {"more_heat_higher", "more heat arrived higher up: the fire changed between the tests"},
     {"needs_vessel", "{} needs a vessel"},
     {"negative_share", "a composition has a negative share"},
     {"never_falls_through", "the fire never falls through {} and {} further: name a temperature "
                             "between its peak and its end"},
     {"never_reached", "it never reached what the dial says"},
     {"never_settled", "it never settled in {} of readings (the mean still moves more than {} an "
                       "hour): log on for at least two whole cycles after it has stopped climbing"},
     {"no_doneness", "{} is no doneness for {}: the scales go from {} to {} there"},
     {"no_fit", "no fit"},
     {"no_oil_mass", "the mass of the oil is missing"},
     {"no_probe_codes", "{}: {} readings are a logger's signs for \"no probe\", the first after "
                        "{}; they are left out"},
     {"no_pull", "no pull found"},
     {"no_such_appliance", "no appliance \"{}\"; the book has {}"},
     {"no_such_food", "no food \"{}\""},
     {"no_such_level", "the {} has no level \"{}\" for {}"},
     {"no_such_protocol", "no protocol \"{}\"; there are {}"},
     {"no_such_scale", "no doneness scale \"{}\""},
     {"no_such_stage", "the recipe has {} stages, not {}"},
     {"no_such_zone", "{} has no zone \"{}\""},
     {"no_thermometer_check", "this is not a thermometer check"},
     {"no_water_mass", "the mass of the water is missing"},
     {"no_window", "no window: {}"},
     {"no_zone_wished", "say which zone should be how hot"},
     {"not_fixed", "the readings do not fix all parameters"},
     {"not_split",
      "air and walls cannot be told apart here: the effective temperature says all there is"},
     {"not_told_apart", "the readings do not tell the unknowns apart"},
     {"not_weighed", "power and loss are known per heat capacity only: the plate was not weighed"},
     {"oil_heat_up", "It puts {} into the oil."},
     {"oil_window_not_passed", "the oil does not pass from {} to {} in this log"},
     {"one_share", "every run had the same share on the lid: under and lid cannot be told apart; "
                   "try one run with another share"},
     {"others_outside", "other pieces should be {} to {} thick"},
     {"own_time_unused", "the core does not get there in every case that could be"},
     {"pan_limited", "its pan limiter holds the pan at {}, whatever is set"},
     {"place_at_limit", "the probe at {} is at its limit"},
     {"plate_rose_too_little", "it rose by only {}: heat it by at least {}"},
     {"pot_not_lighter", "the pot must weigh less after than before, and not be empty"},
     {"preheat", "It settles at {}, after {}."},
     {"preheat_above", "Set to {}, it settles at {}: {} above the dial, after {}."},
     {"preheat_below", "Set to {}, it settles at {}: {} below the dial, after {}."},
     {"preheat_too_short", "the log needs both the heating and at least as long a cooling"},
     {"probe_dead", "{} reads {} where the others are at {}: is that probe plugged in, and inside? "
                    "It is left out"},
     {"probes_contradict", "the two probes contradict each other: read both again, side by side"},
     {"probes_too_similar", "{} and {} are too similar to split air from radiation"},
     {"pull_not_reached", "the pull temperature is not reached"},
     {"pulled_out", "{} fell from {} to {} within two minutes, after {}, and never came back: the "
                    "probe was pulled out or the heat went off; end the log before that"},
     {"read_too_soon",
      "read after {}: a setting needs about 25 min before it is read, at least 10"},
     {"readings_at_limit", "{} readings are at the probe's limit of {}: they only say \"at "
                           "least\"; use another instrument or a lower setting"},
     {"recipe_without_name", "the recipe should have a name"},
     {"rewrite_straight",
      "the row cooks straight through what the recipe does in {} stages: move one "
      "stage at a time to have its words changed"},
     {"rim", "grey rim {} where the recipe gives {}"},
     {"rounds_outside", "there should be 1 to 20 rounds"},
     {"row_not_reached", "this row cannot be reached: there is nothing to write for it"},
     {"run_cannot_be", "run {}: {} inside cannot be right"},
     {"says_nothing_about", "the readings say nothing about {}"},
     {"scorched", "the darker face would be {} (index {})"},
     {"seasoning_scorches",
      "{} would scorch here; put it on later or take gentler heat (known to a factor of 2)"},
     {"setting_size", "{}: the setting has {} values for {} controls"},
     {"shares_not_one", "a composition adds up to {}, not to 1"},
     {"shares_power", "it shares {} with the zone beside it: with both in use this one gives less"},
     {"short", "only {} time constants: the ± is wide; {} would do"},
     {"slow_log",
      "a reading every {} can miss how the thermostat switches, {} either way; log every 10 s"},
     {"small_load",
      "a load under {} across draws heat from the plate around it: the numbers are too large"},
     {"spikes",
      "{}: {} readings jump faster than a probe can, the first after {}; they are left out"},
     {"spot_at_limit", "spot {} is at the gun's limit"},
     {"stack_outside", "1 to {} ovens stand on one another"},
     {"stage_without_appliance", "the kitchen has no such appliance: choose one"},
     {"stage_without_end", "it should end after a time or at a core temperature"},
     {"start_cannot_be", "a start of {} is outside {} to {}"},
     {"start_outside", "the start should be above {} and below the doneness asked for"},
     {"steam_not_weighed", "without a lid, weigh the pot before and after: the steam that left is "
                           "missing from the power"},
     {"step", "{} jumps from {} to {} within a minute, after {}: was the probe moved, or something "
              "cold put in? What comes after may be of another place"},
     {"steps_left_out", "steps that only its own appliance knows are left out: {}"},
     {"stone_did_not_cool", "the stone did not cool under the load"},
     {"stopped", "stopped"},
     {"stuck", "{} reads exactly {} from {} on for {}: does the probe still move?"},
     {"surface_map", "The surface is at {} on average, {} from its coldest to its hottest spot."},
     {"thickness_outside", "the thickness should be {} to {}"},
     {"time_backwards", "time runs backwards in {} at reading {} ({} after {}): put the log in "
                        "order and import it again"},
     {"time_says_nothing", "nothing that it is judged by changes with the time any more"},
     {"time_too_long", "a time should be 72 h at most"},
     {"too_few_after_peak", "too few readings after the peak"},
     {"too_few_readings", "{} has {} readings; this test needs at least {}"},
     {"too_few_time_constants",
      "too short: {} time constants of {}; leave the block in for at least {}"},
     {"too_few_typed", "only {} readings after the first minute and below the boil: read at least "
                       "{} times on the way up, once a minute"},
     {"unit_suspected",
      "most readings of {} are outside {} to {}: is the unit right (°F taken for °C)?"},
     {"unknown_free", "an unknown appears in no equation"},
     {"unlike_inside", "at its most alike it comes to {} inside, where the recipe comes to {}"},
     {"value_outside", "{}: {} is outside {} to {}"},
     {"vessel_limit", "{} withstands {} at most"},
     {"water_did_not_rise",
      "the water did not get hotter from each reading to the next: look at what was typed"},
     {"water_heat_up", "It puts {} into the water and the pot."},
     {"water_not_warmer", "the water is no warmer than the room: there is no loss to see"},
     {"water_window_not_passed", "the water does not pass from {} to {} in this log: log on until "
                                 "it does, or choose another window"},
     {"wick", "the wet probe never stood still: the wick was dry, or the log too short"},
     {"width_outside", "the width should be {} to {}"},
     {"window_at_boil", "water boils at {} here: end the window at least {} below"},
     {"window_too_thin", "only {} readings between {} and {}: log faster or heat more water"},
     {"window_upside_down", "the lower temperature must be below the higher one"},
     {"zone_at_least", "The zone is at least {}: all {} readings are at the probe's limit."},
     {"zone_log_at_least", "The zone is at least {}: the log reaches the probe's limit of {}."},
     {"zone_sweep", "Food in this zone cooks as at about {} (air and radiation together)."}}};
static_assert(std::is_sorted(kPatterns.begin(), kPatterns.end(),
                             [](const Pattern& a, const Pattern& b) { return a.code < b.code; }));

} // namespace

const char* patternOf(const std::string& code) {
    const auto at = std::lower_bound(
        kPatterns.begin(), kPatterns.end(), code,
        [](const Pattern& pattern, const std::string& wanted) { return pattern.code < wanted; });
    return at != kPatterns.end() && at->code == code ? at->words : nullptr;
}

} // namespace dynamet::words
