// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/live/connections.h"

#include "app/document/window_memory.h"

namespace dynamet::app {
namespace {

/// "key|name|unit|resolution" of each, between line ends.
QString specText(const std::vector<device::ChannelSpec>& specs) {
    QStringList out;
    for (const device::ChannelSpec& spec : specs)
        out << QStringList{toQt(spec.key), toQt(spec.name), toQt(spec.unit),
                           QString::number(spec.resolution)}
                   .join(QLatin1Char('|'));
    return out.join(QLatin1Char('\n'));
}

std::vector<device::ChannelSpec> specsOf(const QString& text) {
    std::vector<device::ChannelSpec> out;
    for (const QString& line : text.split(QLatin1Char('\n'), Qt::SkipEmptyParts)) {
        const QStringList parts = line.split(QLatin1Char('|'));
        if (parts.size() == 4)
            out.push_back({toStd(parts[0]), toStd(parts[1]), toStd(parts[2]), parts[3].toDouble(),
                           std::nullopt, std::nullopt});
    }
    return out;
}

} // namespace

std::vector<KnownLine> readLines() {
    QSettings from = userSettings();
    std::vector<KnownLine> out;
    const int count = from.beginReadArray(QStringLiteral("lines"));
    for (int i = 0; i < count; ++i) {
        from.setArrayIndex(i);
        KnownLine line;
        line.connection.path = toStd(from.value(QStringLiteral("path")).toString());
        line.connection.baud = from.value(QStringLiteral("baud"), 115200).toInt();
        line.connection.dialect =
            device::dialectOf(toStd(from.value(QStringLiteral("dialect")).toString()))
                .value_or(device::Dialect::lines);
        line.connection.scpi.query =
            toStd(from.value(QStringLiteral("query"), QStringLiteral("READ?")).toString());
        const auto specs = specsOf(from.value(QStringLiteral("channels")).toString());
        line.connection.scpi.channels = line.connection.plain.channels = specs;
        line.connection.plain.timeFirst = from.value(QStringLiteral("time_first"), true).toBool();
        line.name = toStd(from.value(QStringLiteral("name")).toString());
        line.instrumentId = toStd(from.value(QStringLiteral("instrument")).toString());
        const QVariantMap roles = from.value(QStringLiteral("roles")).toMap();
        for (auto role = roles.begin(); role != roles.end(); ++role)
            line.roles[toStd(role.key())] = toStd(role.value().toString());
        if (!line.connection.path.empty())
            out.push_back(std::move(line));
    }
    from.endArray();
    return out;
}

void keepLines(const std::vector<KnownLine>& lines) {
    QSettings to = userSettings();
    to.remove(QStringLiteral("lines"));
    to.beginWriteArray(QStringLiteral("lines"), static_cast<int>(lines.size()));
    for (std::size_t i = 0; i < lines.size(); ++i) {
        const KnownLine& line = lines[i];
        to.setArrayIndex(static_cast<int>(i));
        to.setValue(QStringLiteral("path"), toQt(line.connection.path));
        to.setValue(QStringLiteral("baud"), line.connection.baud);
        to.setValue(QStringLiteral("dialect"),
                    QString::fromUtf8(enumName(line.connection.dialect)));
        to.setValue(QStringLiteral("query"), toQt(line.connection.scpi.query));
        to.setValue(QStringLiteral("channels"),
                    specText(line.connection.dialect == device::Dialect::scpi
                                 ? line.connection.scpi.channels
                                 : line.connection.plain.channels));
        to.setValue(QStringLiteral("time_first"), line.connection.plain.timeFirst);
        to.setValue(QStringLiteral("name"), toQt(line.name));
        to.setValue(QStringLiteral("instrument"), toQt(line.instrumentId));
        QVariantMap roles;
        for (const auto& [channel, role] : line.roles)
            roles[toQt(channel)] = toQt(role);
        to.setValue(QStringLiteral("roles"), roles);
    }
    to.endArray();
}

} // namespace dynamet::app
