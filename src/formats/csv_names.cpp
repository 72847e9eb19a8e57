// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "formats/csv_names.h"

#include <algorithm>
#include <array>
#include <vector>

namespace dynamet::formats {
namespace {

/// Lower case for ASCII and for the letters of Latin-1 that are written in two bytes.
std::string lowered(std::string_view text) {
    std::string out(text);
    for (std::size_t i = 0; i < out.size(); ++i) {
        const auto c = static_cast<unsigned char>(out[i]);
        if (c >= 'A' && c <= 'Z')
            out[i] = static_cast<char>(c + 32);
        else if (c == 0xc3 && i + 1 < out.size()) {
            const auto next = static_cast<unsigned char>(out[i + 1]);
            if (next >= 0x80 && next <= 0x9e)
                out[i + 1] = static_cast<char>(next + 0x20);
        }
    }
    return out;
}

/// Words of a name: letters together (also behind a capital, "TempF"), figures apart.
std::vector<std::string> tokensOf(std::string_view name) {
    std::vector<std::string> out;
    std::string word;
    char before = ' ';
    const auto flush = [&] {
        if (!word.empty())
            out.push_back(lowered(word));
        word.clear();
    };
    for (const char c : name) {
        const bool letter = (c >= 'a' && c <= 'z') || (c >= 'A' && c <= 'Z') ||
                            static_cast<unsigned char>(c) >= 0x80;
        const bool humps = c >= 'A' && c <= 'Z' && before >= 'a' && before <= 'z';
        if (!letter || humps)
            flush();
        if (letter)
            word += c;
        before = c;
    }
    flush();
    return out;
}

struct Entry {
    const char* meaning;
    std::vector<const char*> words;
};

/// English, German, French, Italian, Spanish, Dutch.
const std::vector<Entry>& notProbes() {
    static const std::vector<Entry> all{
        {"set-point",
         {"setpoint", "setpt", "set", "sp", "soll", "sollwert", "target", "consigne", "consigna",
          "ziel", "setting", "desired", "alarm", "alarme"}},
        {"counter",
         {"no", "nr", "num", "number", "index", "idx", "record", "rec", "count", "sample", "row",
          "id", "scan", "entry", "numero", "numéro", "lfd", "nummer", "seq"}},
        {"humidity",
         {"humidity", "rh", "hum", "feuchte", "luftfeuchte", "humidité", "umidità", "humedad",
          "dew", "taupunkt"}},
        {"battery",
         {"battery", "batt", "bat", "batterie", "volt", "volts", "voltage", "rssi", "signal",
          "spannung"}},
        {"power or weight",
         {"watt", "watts", "power", "leistung", "kwh", "energy", "energie", "weight", "gewicht",
          "mass", "poids", "pressure", "druck", "hpa", "mbar", "ppm", "ampere"}},
        {"mark", {"event", "mark", "note", "comment", "status", "state", "flag", "relay", "duty"}},
        {"difference", {"diff", "difference", "delta", "slope", "rate", "differenz"}}};
    return all;
}

const std::vector<Entry>& roles() {
    static const std::vector<Entry> all{
        {"room",
         {"ambient", "room", "raum", "umgebung", "ambiante", "ambiente", "kitchen", "outside",
          "aussen", "außen"}},
        {"core", {"core", "kern", "meat", "food", "coeur", "cœur", "fleisch", "cuore", "carne"}},
        {"wet", {"wet", "wick", "nass"}},
        {"bright", {"bright", "shiny", "polished", "blank", "chrome"}},
        {"black", {"black", "schwarz", "noir", "nero", "negro"}},
        {"block", {"block", "klotz", "bloc", "blocco", "slug"}},
        {"load", {"load", "slab"}},
        {"water", {"water", "wasser", "eau", "acqua", "agua", "bath", "bad", "bain"}},
        {"oil", {"oil", "öl", "oel", "huile", "olio", "aceite", "fett", "fat", "fryer"}},
        {"floor", {"floor", "stone", "stein", "sole", "hearth", "boden", "pietra"}},
        {"plate",
         {"plate", "platte", "griddle", "pan", "pfanne", "surface", "plaque", "piastra", "plancha",
          "skillet"}},
        {"air",
         {"air", "oven", "ofen", "four", "forno", "horno", "garraum", "luft", "chamber", "pit",
          "grill", "cavity", "backofen", "aria", "aire", "innenraum"}}};
    return all;
}

bool has(const std::vector<std::string>& tokens, std::initializer_list<const char*> words) {
    return std::any_of(tokens.begin(), tokens.end(), [&](const std::string& token) {
        return std::any_of(words.begin(), words.end(),
                           [&](const char* word) { return token == word; });
    });
}

std::string meaningIn(const std::vector<Entry>& entries, const std::vector<std::string>& tokens) {
    for (const Entry& entry : entries)
        for (const char* word : entry.words)
            if (std::find(tokens.begin(), tokens.end(), word) != tokens.end())
                return entry.meaning;
    return "";
}

/// "rear right" is "back right": the places of a map of a space.
std::string placeIn(const std::vector<std::string>& tokens) {
    const bool front = has(tokens, {"front", "vorn", "vorne"});
    const bool back = has(tokens, {"back", "rear", "hinten"});
    const bool left = has(tokens, {"left", "links", "gauche", "fl", "bl"});
    const bool right = has(tokens, {"right", "rechts", "droite", "fr", "br"});
    if ((front || back) && (left || right))
        return std::string(front ? "front " : "back ") + (left ? "left" : "right");
    if (has(tokens, {"fl", "fr", "bl", "br"}))
        return std::string(has(tokens, {"fl", "fr"}) ? "front " : "back ") +
               (has(tokens, {"fl", "bl"}) ? "left" : "right");
    if (has(tokens, {"middle", "center", "centre", "mid", "mitte", "milieu"}))
        return "middle";
    if (has(tokens, {"upper", "top", "oben", "haut"}))
        return "upper";
    if (has(tokens, {"lower", "bottom", "unten", "bas"}))
        return "lower";
    return has(tokens, {"door", "tür", "porte"}) ? "door" : "";
}

std::optional<LogUnit> unitIn(const std::string& low, const std::vector<std::string>& tokens) {
    if (low.find("℉") != std::string::npos ||
        has(tokens, {"fahrenheit", "degf", "f", "°f", "ºf", "tempf"}))
        return LogUnit::fahrenheit;
    if (low.find("℃") != std::string::npos ||
        has(tokens, {"celsius", "degc", "c", "°c", "ºc", "tempc"}))
        return LogUnit::celsius;
    if (has(tokens, {"kelvin", "degk", "k", "°k"}))
        return LogUnit::kelvin;
    if (has(tokens, {"kg", "kilogram", "kilograms", "kilo"}))
        return LogUnit::kilogram;
    if (has(tokens, {"g", "gr", "gram", "grams", "gramm", "grammes"}))
        return LogUnit::gram;
    if (has(tokens, {"oz", "ounce", "ounces"}))
        return LogUnit::ounce;
    if (has(tokens, {"lb", "lbs", "pound", "pounds"}))
        return LogUnit::pound;
    return std::nullopt;
}

void readTime(const std::string& low, const std::vector<std::string>& tokens, NameMeaning& out) {
    out.date = has(tokens, {"date", "datum", "fecha", "jour", "dia", "day"});
    out.time = has(tokens, {"time",    "zeit",    "uhrzeit",   "temps",  "heure",       "hora",
                            "tiempo",  "tempo",   "ora",       "tijd",   "tid",         "elapsed",
                            "since",   "dauer",   "timestamp", "clock",  "zeitstempel", "durée",
                            "runtime", "seconds", "minutes",   "sec",    "secs",        "hours",
                            "stunden", "minuten", "sekunden",  "millis", "epoch",       "unix"}) ||
               low == "t" || low == "s" || low == "min" || low == "h" || low == "ms" ||
               low.starts_with("t/") || low.starts_with("t (") || low.starts_with("t [") ||
               low.starts_with("t_");
    if (!out.time)
        return;
    if (low.find("mm:ss") != std::string::npos)
        out.minuteClock =
            low.find("hh:mm") == std::string::npos && low.find("h:mm") == std::string::npos;
    out.hourClock = low.find("hh:mm") != std::string::npos || low.find("h:mm") != std::string::npos;
    if (has(tokens, {"ms", "msec", "millis", "milliseconds", "millisekunden"}))
        out.timeUnitS = 1e-3;
    else if (has(tokens, {"min", "minutes", "mins", "minuten", "minute"}))
        out.timeUnitS = 60;
    else if (has(tokens, {"h", "hours", "hour", "std", "stunden", "hr", "hrs", "heures"}))
        out.timeUnitS = 3600;
    else if (has(tokens, {"s", "sec", "secs", "seconds", "second", "sekunden"}))
        out.timeUnitS = 1;
}

} // namespace

NameMeaning meaningOf(std::string_view name) {
    NameMeaning out;
    const std::string low = lowered(name);
    const std::vector<std::string> tokens = tokensOf(name);
    readTime(low, tokens, out);
    out.unit = has(tokens, {"unit", "units", "einheit", "unité"}) || low == "scale";
    if (out.time || out.date || out.unit)
        return out;
    out.written = unitIn(low, tokens);
    out.weight = has(tokens, {"weight", "gewicht", "mass", "masse", "poids", "peso", "scale",
                              "waage", "balance", "bilancia"}) ||
                 (out.written && isWeight(*out.written));
    out.notUsed = low == "#" ? "counter" : meaningIn(notProbes(), tokens);
    if (out.notUsed == "counter" && tokens.size() > 1) // "Probe no. 1" is a probe
        out.notUsed.clear();
    if (out.notUsed.empty() && low.find("%rh") != std::string::npos)
        out.notUsed = "humidity";
    const std::string place = placeIn(tokens);
    out.role = place.empty() ? meaningIn(roles(), tokens) : place;
    return out;
}

std::optional<LogUnit> unitWord(std::string_view field) {
    const std::string low = lowered(field);
    if (low == "f" || low == "°f" || low == "℉" || low == "degf" || low == "fahrenheit")
        return LogUnit::fahrenheit;
    if (low == "c" || low == "°c" || low == "℃" || low == "degc" || low == "celsius")
        return LogUnit::celsius;
    if (low == "g" || low == "kg")
        return low == "g" ? LogUnit::gram : LogUnit::kilogram;
    if (low == "oz" || low == "lb")
        return low == "oz" ? LogUnit::ounce : LogUnit::pound;
    return low == "k" || low == "kelvin" ? std::optional(LogUnit::kelvin) : std::nullopt;
}

} // namespace dynamet::formats
