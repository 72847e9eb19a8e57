// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "recipe/handling_words.h"

#include "kitchen/dial.h"
#include "quantity/number_text.h"
#include "quantity/parse_duration.h"
#include "quantity/parse_temperature.h"
#include "recipe/handling_spellings.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::recipe {
namespace {

using kitchen::Appliance;
using kitchen::Setting;

std::string lowered(std::string text) {
    for (char& c : text)
        if (c >= 'A' && c <= 'Z')
            c = static_cast<char>(c - 'A' + 'a');
    return text;
}

/// Between commas, semicolons, line ends and "then".
std::vector<std::string> phrasesOf(std::string sentence) {
    for (std::size_t at = 0; (at = sentence.find(" then ", at)) != std::string::npos;)
        sentence.replace(at, 6, " , ");
    std::vector<std::string> out;
    std::string phrase;
    const auto end = [&] {
        std::string_view cut = trimmed(phrase);
        while (cut.ends_with('.'))
            cut.remove_suffix(1);
        if (cut.starts_with("then "))
            cut.remove_prefix(5);
        if (cut.starts_with("and "))
            cut.remove_prefix(4);
        if (!cut.empty())
            out.emplace_back(trimmed(cut));
        phrase.clear();
    };
    for (const char c : sentence)
        if (c == ',' || c == ';' || c == '\n')
            end();
        else
            phrase += c;
    end();
    return out;
}

/// Cuts " WORD rest" off the end of a phrase; empty where the word is not there.
std::optional<std::string> cutOff(std::string& phrase, const char* word) {
    const std::string between = fmt::format(" {} ", word);
    const std::size_t at = (" " + phrase).rfind(between);
    if (at == std::string::npos)
        return std::nullopt;
    std::string rest(trimmed(std::string_view(phrase).substr(at + between.size() - 1)));
    phrase = std::string(trimmed(std::string_view(phrase).substr(0, at)));
    return rest;
}

constexpr double kOftenestS = 5;

tl::unexpected<Error> notUnderstood(const std::string& phrase, const std::string& why) {
    return fail(Errc::parse, fmt::format("\"{}\": {}", phrase, why));
}

/// One reading of a sentence, phrase after phrase.
struct Reader {
    const Appliance& on;
    Setting now;
    TemperatureUnit unit;
    SaidHandling out;
    double clockS = 0;
    bool ranOn = false; ///< the last phrase was a stretch of time

    struct When {
        double atS = 0;
        bool again = false;
        bool said = false; ///< by "at", "after" or "every"
        std::optional<double> coreK;
        double forS = 0;
    };

    Result<double> seconds(const std::string& text, const std::string& phrase) const {
        const auto time = parseDuration(text);
        if (!time || !(time->highS > 0))
            return notUnderstood(phrase, fmt::format("\"{}\" is no time", text));
        return time->highS;
    }

    Result<When> whenOf(std::string& phrase) const {
        const std::string whole = phrase;
        When when;
        when.atS = clockS;
        if (const auto lasts = cutOff(phrase, "for")) {
            std::string rest = *lasts; // "for 1 min at 8 min"
            for (const char* word : {"every", "at", "after"})
                if (const auto said = cutOff(rest, word)) {
                    phrase += fmt::format(" {} {}", word, *said);
                    break;
                }
            const auto time = seconds(rest, whole);
            if (!time)
                return tl::unexpected(time.error());
            when.forS = *time;
        }
        for (const char* word : {"every", "at", "after"})
            if (const auto said = cutOff(phrase, word)) {
                when.said = true;
                when.again = std::string_view(word) == "every";
                if (const auto time = parseDuration(*said); time && time->highS > 0) {
                    when.atS = time->highS;
                    if (when.again && when.atS < kOftenestS)
                        return notUnderstood(whole, "nobody does it that often; say 5 s or more");
                } else if (const auto core = parseTemperature(*said, unit); core && !when.again) {
                    when.coreK = core->kelvin();
                } else {
                    return notUnderstood(whole, fmt::format("\"{}\" is no time", *said));
                }
                break;
            }
        return when;
    }

    Result<void> turn(const std::string& phrase, const When& when) {
        if (out.handling.turning.when != TurnWhen::asUsual) { // once more, by the clock
            if (when.coreK || when.again)
                return notUnderstood(phrase, "it is turned already");
            return add({Move::turnOver, when.atS});
        }
        Turning& turning = out.handling.turning;
        if (when.coreK)
            turning = {TurnWhen::atCore, 0, *when.coreK};
        else if (when.again)
            turning = {TurnWhen::every, when.atS, 0};
        else if (when.said || when.atS > 0)
            turning = {TurnWhen::after, when.atS, 0};
        else
            return notUnderstood(phrase, "say when: \"turn at 3 min\", \"turn every 2 min\", "
                                         "\"turn halfway\"");
        return {};
    }

    Result<void> add(Step step) {
        out.handling.steps.push_back(std::move(step));
        return {};
    }

    /// Of the beginning it is how the stage starts, later a step.
    Result<void> cover(Cover what, const When& when) {
        if (when.atS <= 0)
            out.handling.cover = what;
        else
            return add({Move::cover, when.atS, false, when.forS, {}, {}, what});
        return {};
    }

    /// The setting with one control changed to what was written.
    std::optional<Setting> changed(const std::string& value) const {
        for (std::size_t i = 0; i < on.controls.size(); ++i) {
            const kitchen::Control& control = on.controls[i];
            std::string canonical = value;
            if (control.kind == kitchen::ControlKind::thermostat ||
                control.kind == kitchen::ControlKind::preheat) {
                std::string_view rest = value;
                const auto plain = takeNumber(rest);
                const auto kelvin = parseTemperature(value, unit);
                if (!plain || !kelvin)
                    continue;
                const double dial =
                    trimmed(rest).empty() ? *plain : kitchen::dialValue(control, *kelvin);
                canonical = fmt::format("{}{}", dial, control.unit);
            }
            std::vector<kitchen::Control> one{control};
            const auto parsed =
                kitchen::parseSetting(one, fmt::format("{}={}", control.key, canonical));
            if (!parsed)
                continue;
            Setting turned = now;
            turned.values[i] = parsed->values.front();
            return turned;
        }
        return std::nullopt;
    }

    Result<void> set(const std::string& value, const std::string& phrase, const When& when) {
        auto to = changed(value);
        if (!to)
            return notUnderstood(phrase, fmt::format("{} cannot be set to \"{}\"", on.name, value));
        now = *to;
        return add({Move::setTo, when.atS, false, when.forS, std::move(to)});
    }

    Result<void> move(const std::string& place, const std::string& phrase, const When& when) {
        for (const kitchen::Zone& zone : on.zones)
            if (lowered(zone.name) == place)
                return add({Move::toZone, when.atS, when.again, when.forS, {}, zone.name});
        std::string known;
        for (const kitchen::Zone& zone : on.zones)
            known += (known.empty() ? "" : ", ") + zone.name;
        return notUnderstood(
            phrase, fmt::format("{} has no place \"{}\"; it has {}", on.name, place, known));
    }

    Result<void> step(const Spelling& spelling, const std::string& phrase, const When& when) {
        if (spelling.move == Move::cover)
            return cover(spelling.cover, when);
        const bool lasts = spelling.move == Move::offHeat || spelling.move == Move::openDoor;
        if (lasts && when.forS <= 0)
            return notUnderstood(phrase, "say for how long: \"off the heat for 1 min\"");
        if (when.again && when.atS <= when.forS)
            return notUnderstood(phrase, "it lasts longer than until it comes again");
        return add({spelling.move, when.atS, when.again, when.forS});
    }

    Result<void> read(const std::string& said) {
        std::string phrase = lowered(said);
        if (const auto time = parseDuration(phrase); time && time->highS > 0) {
            clockS += time->highS;
            ranOn = true;
            return {};
        }
        ranOn = false;
        if (phrase == "never turn" || phrase == "do not turn" || phrase == "don't turn") {
            out.handling.turning.when = TurnWhen::never;
            return {};
        }
        if (phrase == "turn halfway" || phrase == "turn once" || phrase == "turn at half") {
            out.handling.turning.when = TurnWhen::half;
            return {};
        }
        if (phrase == "turn as it leaves" || phrase == "turn at the end") {
            out.handling.turning.when = TurnWhen::leaving;
            return {};
        }
        if (phrase == "with water" || phrase == "add water" || phrase == "splash of water") {
            out.handling.waterAdded = true;
            return {};
        }
        const auto when = whenOf(phrase);
        if (!when)
            return tl::unexpected(when.error());
        if (phrase == "turn" || phrase == "turn over" || phrase == "flip")
            return turn(said, *when);
        if (when->coreK)
            return notUnderstood(said, "only a turn can wait for a core; say a time");
        for (const Spelling& spelling : kSpellings)
            if (phrase == spelling.words)
                return step(spelling, said, *when);
        for (const std::string_view start : {"set to ", "turn down to ", "turn up to "})
            if (phrase.starts_with(start))
                return set(phrase.substr(start.size()), said, *when);
        for (const std::string_view start : {"move to ", "to the ", "to "})
            if (phrase.starts_with(start))
                return move(phrase.substr(start.size()), said, *when);
        return notUnderstood(
            said, "not understood; write for example \"3 min, turn, 2 min\", \"turn every 2 min\", "
                  "\"lid on at 5 min\", \"baste\", \"set to low at 4 min\", \"off the heat for "
                  "1 min\"");
    }
};

} // namespace

Result<SaidHandling> parseHandling(const std::string& sentence, const Appliance& on,
                                   const Setting& begun, TemperatureUnit unit) {
    Reader reader{on, begun, unit, {}, 0, false};
    for (const std::string& phrase : phrasesOf(sentence))
        if (const auto done = reader.read(phrase); !done)
            return tl::unexpected(done.error());
    if (reader.ranOn)
        reader.out.totalS = reader.clockS;
    std::stable_sort(reader.out.handling.steps.begin(), reader.out.handling.steps.end(),
                     [](const Step& a, const Step& b) { return a.atS < b.atS; });
    return reader.out;
}

} // namespace dynamet::recipe
