// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/inputs/guide_text.h"

#include "quantity/print.h"
#include "rating/inputs/protocols.h"

#include <algorithm>
#include <cctype>
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

std::vector<GuidePage> pagesIn(std::string_view all) {
    std::vector<GuidePage> out;
    for (auto at = all.find('\x1e'); at != std::string_view::npos;) {
        const auto next = all.find('\x1e', at + 1), line = all.find('\n', at);
        if (line == std::string_view::npos)
            break;
        out.push_back({std::string(all.substr(at + 1, line - at - 1)),
                       std::string(all.substr(line + 1, next - line - 1))});
        at = next;
    }
    return out;
}

std::vector<GuidePage> protocolPages() {
    auto out = pagesIn(data::guide_protocols);
    for (GuidePage& page : out)
        page.name = "protocols/" + page.name;
    return out;
}

std::vector<GuidePage> pagesAbout(std::vector<GuidePage> pages, const std::string& words) {
    const auto lower = [](std::string text) {
        for (char& c : text)
            c = static_cast<char>(std::tolower(static_cast<unsigned char>(c)));
        return text;
    };
    const auto isLetter = [](char c) { return std::isalnum(static_cast<unsigned char>(c)) != 0; };
    std::vector<std::string> wanted;
    std::istringstream typed(lower(words));
    for (std::string word; typed >> word;)
        wanted.push_back(word);
    std::vector<std::pair<std::size_t, GuidePage>> found;
    for (GuidePage& page : pages) {
        const std::string text = lower(page.text);
        std::size_t sum = 0;
        bool every = !wanted.empty();
        for (const std::string& word : wanted) {
            std::size_t count = 0;
            for (auto at = text.find(word); at != std::string::npos; at = text.find(word, at + 1))
                count += at == 0 || !isLetter(text[at - 1]);
            // A page whose heading has the word is about it.
            count += count > 0 && text.substr(0, text.find('\n')).find(word) != std::string::npos
                         ? 100
                         : 0;
            sum += count;
            every = every && count > 0;
        }
        if (every)
            found.emplace_back(sum, std::move(page));
    }
    std::stable_sort(found.begin(), found.end(),
                     [](const auto& a, const auto& b) { return a.first > b.first; });
    std::vector<GuidePage> out;
    for (auto& [count, page] : found)
        out.push_back(std::move(page));
    return out;
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
