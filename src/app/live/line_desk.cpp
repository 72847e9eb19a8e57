// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/live/line_desk.h"

#include "app/document/qt_text.h"
#include "words/run_words.h"

#include <algorithm>

namespace dynamet::app {

LineDesk::LineDesk(QObject* parent) : QObject(parent) {
    clock_.start();
}

void LineDesk::openKnown() {
    if (std::exchange(opened_, true))
        return;
    for (const KnownLine& line : readLines())
        add(line);
}

void LineDesk::add(const KnownLine& line, Keep keep) {
    std::erase_if(
        lines_, [&](const Line& one) { return one.known.connection.path == line.connection.path; });
    Line made{line, std::make_unique<SerialLink>(line.connection, clock_), keep};
    SerialLink* link = made.link.get();
    const std::string path = line.connection.path;
    connect(link, &SerialLink::reading, this,
            [this, path](const device::Reading& reading, double arrivedS) {
                take(path, reading, arrivedS);
            });
    connect(link, &SerialLink::changed, this, [this, path, link] {
        for (Line& one : lines_)
            if (one.known.connection.path == path && link->talk().hello())
                one.known.name = link->talk().hello()->name;
        emit changed();
    });
    lines_.push_back(std::move(made));
    link->open();
    keepLines(known());
    emit changed();
}

void LineDesk::forget(const std::string& path) {
    std::erase_if(lines_, [&](const Line& one) { return one.known.connection.path == path; });
    std::erase_if(watches_, [&](const auto& one) { return one.first.instrument == path; });
    keepLines(known());
    emit changed();
}

std::vector<KnownLine> LineDesk::known() const {
    std::vector<KnownLine> out;
    for (const Line& line : lines_)
        if (line.keep == Keep::yes)
            out.push_back(line.known);
    return out;
}

QString LineDesk::nameOf(const Line& line) {
    const auto& hello = line.link->talk().hello();
    return toQt(hello && !hello->name.empty() ? hello->name
                : !line.known.name.empty()    ? line.known.name
                                              : line.known.connection.path);
}

QString LineDesk::stateWords(const Line& line) {
    using State = SerialLink::State;
    const QString why = line.link->problem();
    switch (line.link->state()) {
    case State::closed:
        return QStringLiteral("closed");
    case State::lost:
        return QStringLiteral("! not there: %1. It is looked for every half second.")
            .arg(why.isEmpty() ? QStringLiteral("unplugged") : why);
    case State::silent:
        return QStringLiteral("! open, but it says nothing");
    case State::wrongSpeed:
        return QStringLiteral("! nothing that can be read: another speed, or another dialect?");
    case State::talking:
        break;
    }
    const long unusable = line.link->talk().unusable();
    QString out = QStringLiteral("talking, %1 readings").arg(line.link->talk().readings());
    if (unusable > 0)
        out += QStringLiteral(", %1 lines left out (the last: %2)")
                   .arg(unusable)
                   .arg(line.link->unusable());
    return why.isEmpty() ? out : out + QStringLiteral("; it says: %1").arg(why);
}

QString LineDesk::valueWords(const Channel& channel, const Units& units) {
    using State = device::ChannelState;
    switch (channel.state) {
    case State::waiting:
        return QStringLiteral("nothing yet");
    case State::stale:
        return QStringLiteral("! nothing for %1 s").arg(channel.ageS, 0, 'f', 0);
    case State::open:
        return QStringLiteral("! open: no probe");
    case State::over:
        return QStringLiteral("! above its range");
    case State::under:
        return QStringLiteral("! below its range");
    case State::live:
        break;
    }
    return toQt(words::readingWords(channel.spec, channel.value, units));
}

std::vector<LineDesk::Channel> LineDesk::channels() const {
    std::vector<Channel> out;
    const double now = nowS();
    for (const Line& line : lines_)
        for (const device::ChannelSpec& spec : line.link->talk().channels()) {
            Channel channel;
            channel.id = {line.known.connection.path, spec.key};
            channel.spec = spec;
            channel.lineName = toStd(nameOf(line));
            if (const auto role = line.known.roles.find(spec.key); role != line.known.roles.end()) {
                channel.role = role->second;
                channel.chosen = true;
            }
            const auto watch = watches_.find(channel.id);
            channel.state =
                watch == watches_.end() ? device::ChannelState::waiting : watch->second.at(now);
            channel.value = watch == watches_.end() ? 0 : watch->second.last();
            channel.ageS = watch == watches_.end() ? 0 : watch->second.ageS(now);
            if (line.link->state() == SerialLink::State::lost)
                channel.state = device::ChannelState::stale;
            out.push_back(std::move(channel));
        }
    return out;
}

void LineDesk::remember(const device::ChannelId& id, const std::string& role) {
    for (Line& line : lines_)
        if (line.known.connection.path == id.instrument)
            line.known.roles[id.channel] = role;
    keepLines(known());
}

std::string LineDesk::instrumentOf(const std::string& path) const {
    for (const Line& line : lines_)
        if (line.known.connection.path == path)
            return line.known.instrumentId;
    return "";
}

std::optional<double> LineDesk::deviceClock(const std::string& path) const {
    const auto at = deviceS_.find(path);
    return at == deviceS_.end() ? std::nullopt : std::optional(at->second);
}

void LineDesk::take(const std::string& path, const device::Reading& reading, double arrivedS) {
    for (const device::Value& value : reading.values)
        watches_[{path, value.channel}].take(arrivedS, value);
    if (reading.deviceS)
        deviceS_[path] = *reading.deviceS;
    emit this->reading(path, reading, arrivedS);
}

} // namespace dynamet::app
