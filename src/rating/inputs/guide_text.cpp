// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/inputs/guide_text.h"

#include "quantity/print.h"
#include "rating/inputs/protocols.h"

#include <regex>
#include <sstream>
#include <string_view>

namespace dynamet::data {
extern const std::string_view guide_protocols; ///< pages, each after a line "\x1e" + its id
}

namespace dynamet::rating {
namespace {

/// "3. text" and "- text" → text.
std::string withoutMark(const std::string& line) {
    if (line.starts_with("- "))
        return line.substr(2);
    const auto dot = line.find(". ");
    const bool numbered =
        dot != std::string::npos && dot > 0 && line.find_first_not_of("0123456789") == dot;
    return numbered ? line.substr(dot + 2) : line;
}

} // namespace

std::string GuideText::paragraph(const std::string& section) const {
    std::string out;
    for (const std::string& line : items(section))
        out += (out.empty() ? "" : " ") + line;
    return out;
}

std::vector<std::string> GuideText::items(const std::string& section) const {
    const auto at = sections.find(section);
    return at == sections.end() ? std::vector<std::string>{} : at->second;
}

GuideText readGuide(const std::string& markdown) {
    GuideText out;
    std::string section;
    std::istringstream in(markdown);
    for (std::string line; std::getline(in, line);) {
        if (line.empty())
            continue;
        if (line.starts_with("# "))
            out.title = line.substr(2);
        else if (line.starts_with("## "))
            section = line.substr(3);
        else if (section.empty() && line.starts_with("Finds "))
            out.finds = line.substr(6, line.size() - 7);
        else
            out.sections[section].push_back(withoutMark(line));
    }
    return out;
}

std::string pageIn(std::string_view all, const std::string& name) {
    const std::string mark = "\x1e" + name + "\n";
    const auto at = all.find(mark);
    if (at == std::string_view::npos)
        return {};
    const auto from = at + mark.size();
    return std::string(all.substr(from, all.find('\x1e', from) - from));
}

std::string guidePage(const std::string& protocol) {
    return pageIn(data::guide_protocols, protocol);
}

std::string inReaderUnits(const std::string& text, Units units) {
    if (!units.fahrenheit)
        return text;
    static const std::regex measure("([0-9]+)(?: to ([0-9]+))? (K\\b|°C)");
    const auto fahrenheit = [](const std::string& celsius) {
        return printFixed(Temperature::celsius(std::stod(celsius)).fahrenheit(), 0);
    };
    std::string out;
    auto from = text.cbegin();
    for (std::sregex_iterator at(text.begin(), text.end(), measure), end; at != end; ++at) {
        const std::smatch& found = *at;
        out.append(from, found[0].first);
        from = found[0].second;
        const bool difference = found[3] == "K";
        if (difference) {
            out += printDifference(KelvinDelta(std::stod(found[1])), units.temperature());
            continue;
        }
        out +=
            fahrenheit(found[1]) + (found[2].matched ? " to " + fahrenheit(found[2]) : "") + " °F";
    }
    out.append(from, text.cend());
    return out;
}

} // namespace dynamet::rating
