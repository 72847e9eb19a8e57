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

constexpr std::array<Pattern, 91> kPatterns{
    {{"all_at_limit",
      "use an instrument with a higher limit to get a value; a probe past its limit can be ruined"},
     {"assumed_field", "this heat is only assumed: rate the appliance first"},
     {"band_outside", "the band of \"{}\" should run upwards between {} and {}"},
     {"bath_loss", "The heater gives {}; {} the lid the bath loses {}."},
     {"bath_moved_too_little", "it rose by {} and cooled by {}: at least {} and {} are needed"},
     {"below_minimum",
      "the core comes to {}, below the official {}. Local codes or a licensed authority decide"},
     {"biot", "the Biot number is {}: the block is hardly at one temperature"},
     {"block", "It heats a block like an oven at {} with {} (dry; food gets less)."},
     {"block_at_limit", "the block's probe is at its limit of {}"},
     {"block_pair", "What radiates is at {}; the air is at {}, with a heat transfer of {}."},
     {"boil_off", "It boils water with {}."},
     {"burn_down_peak", "It peaks at {} after {}."},
     {"burn_down_target", "It falls through {} after {}, at {} a minute; feed it {} later."},
     {"cavity_map", "{} places are at {} on average; {} is hottest, {} coldest, {} apart."},
     {"ceiling", "{} never reads above {} and stands exactly there {} times: is that the end of "
                 "its range? Then the result is at least this"},
     {"censored", "{} of {} readings are at the probe's limit and count as \"at least\""},
     {"coal_bed", "With its other heights: the bed acts {} across and sends out {}; a face half as "
                  "high again would get {}."},
     {"coal_count", "A coal under it is worth {}, one on the lid {}."},
     {"coal_count_alike", "A coal is worth {} on average."},
     {"contact", "contact is this load's: food's own stays assumed"},
     {"core_cooler", "the core comes to {} where the recipe gives {}"},
     {"core_hotter", "the core comes to {} where the recipe gives {}"},
     {"core_overshoots", "the core comes to {} however soon the last stage ends"},
     {"core_stops", "the core stops at {} within {}"},
     {"core_stops_short", "the core stops at {} and should leave at {}"},
     {"crust_darker", "crust darker: {}{} ({}) where the recipe gives {} ({})"},
     {"crust_not_reached", "crust not reached: {}{} ({}) where the recipe gives {} ({})"},
     {"cycling", "the thermostat cycles: put an air probe beside the block, or leave it in for two "
                 "time constants"},
     {"danger_zone", "the core is between {} and {} for {}; common advice is at most 2 h"},
     {"dip_too_small", "the plate dipped by only {}: use a bigger load"},
     {"dry_preheat", "Every square metre of the plate gets {} and loses {} to the room."},
     {"dry_preheat_unweighed", "Cold, it heats by {} a minute. Weigh it to learn the watts."},
     {"early", "read before {} had passed: the ± is wider"},
     {"efficiency_too_high",
      "more heat than energy went in: check the meter, the water and the pot"},
     {"face_at_limit", "the block's probe is at its limit of {}: take it away sooner"},
     {"face_down", "A cold face looking down takes {}."},
     {"face_rose_too_little", "the block rose by only {}: leave it until it has risen by {}"},
     {"face_up", "A cold face looking up takes {}."},
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
     {"floor_dip", "The floor's effusivity is {}."},
     {"instrument_check", "Add {} in ice water and {} in boiling water to what it reads."},
     {"largest_bath", "the most water is what goes from {} to {} within an hour"},
     {"little_lost", "only {} boiled away: boil longer"},
     {"load_dip", "The plate stores {} per kelvin and square metre; its burner gives {}."},
     {"never_falls_through", "the fire never falls through {} and {} further: name a temperature "
                             "between its peak and its end"},
     {"never_reached", "it never reached what the dial says"},
     {"never_settled", "it never settled in {} of readings (the mean still moves more than {} an "
                       "hour): log on for at least two whole cycles after it has stopped climbing"},
     {"no_doneness", "{} is no doneness for {}: the scales go from {} to {} there"},
     {"no_probe_codes", "{}: {} readings are a logger's signs for \"no probe\", the first after "
                        "{}; they are left out"},
     {"no_window", "no window: {}"},
     {"not_split",
      "air and walls cannot be told apart here: the effective temperature says all there is"},
     {"not_weighed", "power and loss are known per heat capacity only: the plate was not weighed"},
     {"oil_heat_up", "It puts {} into the oil."},
     {"oil_window_not_passed", "the oil does not pass from {} to {} in this log"},
     {"one_share", "every run had the same share on the lid: under and lid cannot be told apart; "
                   "try one run with another share"},
     {"others_outside", "other pieces should be {} to {} thick"},
     {"plate_rose_too_little", "it rose by only {}: heat it by at least {}"},
     {"preheat", "It settles at {}, after {}."},
     {"preheat_above", "Set to {}, it settles at {}: {} above the dial, after {}."},
     {"preheat_below", "Set to {}, it settles at {}: {} below the dial, after {}."},
     {"probes_too_similar", "{} and {} are too similar to split air from radiation"},
     {"pulled_out", "{} fell from {} to {} within two minutes, after {}, and never came back: the "
                    "probe was pulled out or the heat went off; end the log before that"},
     {"readings_at_limit", "{} readings are at the probe's limit of {}: they only say \"at "
                           "least\"; use another instrument or a lower setting"},
     {"rim", "grey rim {} where the recipe gives {}"},
     {"run_cannot_be", "run {}: {} inside cannot be right"},
     {"scorched", "the darker face would be {} (index {})"},
     {"seasoning_scorches",
      "{} would scorch here; put it on later or take gentler heat (known to a factor of 2)"},
     {"short", "only {} time constants: the ± is wide; {} would do"},
     {"small_load",
      "a load under {} across draws heat from the plate around it: the numbers are too large"},
     {"spikes",
      "{}: {} readings jump faster than a probe can, the first after {}; they are left out"},
     {"start_cannot_be", "a start of {} is outside {} to {}"},
     {"start_outside", "the start should be above {} and below the doneness asked for"},
     {"steam_not_weighed", "without a lid, weigh the pot before and after: the steam that left is "
                           "missing from the power"},
     {"stuck", "{} reads exactly {} from {} on for {}: does the probe still move?"},
     {"surface_map", "The surface is at {} on average, {} from its coldest to its hottest spot."},
     {"thickness_outside", "the thickness should be {} to {}"},
     {"unit_suspected",
      "most readings of {} are outside {} to {}: is the unit right (°F taken for °C)?"},
     {"value_outside", "{}: {} is outside {} to {}"},
     {"vessel_limit", "{} withstands {} at most"},
     {"water_heat_up", "It puts {} into the water and the pot."},
     {"water_window_not_passed", "the water does not pass from {} to {} in this log: log on until "
                                 "it does, or choose another window"},
     {"wick", "the wet probe never stood still: the wick was dry, or the log too short"},
     {"width_outside", "the width should be {} to {}"},
     {"window_at_boil", "water boils at {} here: end the window at least {} below"},
     {"window_too_thin", "only {} readings between {} and {}: log faster or heat more water"},
     {"zone_at_least", "The zone is at least {}: all {} readings are at the probe's limit."},
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
