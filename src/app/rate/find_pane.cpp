// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/rate/find_pane.h"

#include <QGridLayout>
#include <QPushButton>
#include <QVBoxLayout>

namespace dynamet::app {
namespace {
constexpr std::size_t kMostRows = 40;
} // namespace

FindPane::FindPane(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), form_(new QWidget), words_(new QLabel),
      table_(new TextTable(QStringLiteral("Settings that give it"))) {
    setObjectName(QStringLiteral("pane"));
    setAttribute(Qt::WA_StyledBackground);
    setProperty("guide", QStringLiteral("find"));
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(16, 12, 16, 12);
    box->setSpacing(10);
    auto* heading = new QLabel(QStringLiteral("How hot should each zone be?"));
    heading->setObjectName(QStringLiteral("heading"));
    words_->setWordWrap(true);
    words_->setObjectName(QStringLiteral("plain"));
    words_->setAccessibleName(QStringLiteral("What was found for the wish"));
    box->addWidget(heading);
    box->addWidget(form_);
    box->addWidget(words_);
    box->addWidget(table_, 1);
    connect(table_, &QTableView::activated, this, [this](const QModelIndex& index) {
        const auto row = static_cast<std::size_t>(index.row());
        if (row < settings_.size())
            emit settingChosen(settings_[row], rows_.empty() ? "" : rows_.front().zone);
    });
}

void FindPane::showAppliance(const std::string& id) {
    const auto unit = document_.units().temperature();
    if (id == applianceId_ && unit == unit_) { // what was typed stays, its answer is made anew
        if (!settings_.empty())
            find();
        return;
    }
    applianceId_ = id;
    unit_ = unit;
    rows_.clear();
    settings_.clear();
    qDeleteAll(form_->findChildren<QWidget*>(Qt::FindDirectChildrenOnly));
    delete form_->layout();
    auto* grid = new QGridLayout(form_);
    grid->setContentsMargins(0, 0, 0, 0);
    const auto* appliance = findAppliance(document_.kitchen(), id);
    const QString sign = QString::fromUtf8(unitSign(unit));
    int line = 0;
    for (const kitchen::Zone& zone : appliance ? appliance->zones : std::vector<kitchen::Zone>{}) {
        const QString name = toQt(zone.name);
        auto *low = new QLineEdit, *high = new QLineEdit;
        low->setAccessibleName(QStringLiteral("%1 at least").arg(name));
        high->setAccessibleName(QStringLiteral("%1 at most").arg(name));
        for (QLineEdit* edit : {low, high}) {
            edit->setPlaceholderText(QStringLiteral("any, in %1").arg(sign));
            edit->setMaximumWidth(120);
            connect(edit, &QLineEdit::returnPressed, this, &FindPane::find);
        }
        grid->addWidget(new QLabel(name), line, 0);
        grid->addWidget(new QLabel(QStringLiteral("at least")), line, 1);
        grid->addWidget(low, line, 2);
        grid->addWidget(new QLabel(QStringLiteral("at most")), line, 3);
        grid->addWidget(high, line++, 4);
        rows_.push_back({zone.name, low, high});
    }
    auto* act = new QPushButton(QStringLiteral("Find setups"));
    act->setObjectName(QStringLiteral("act"));
    act->setAccessibleName(QStringLiteral("Find setups"));
    connect(act, &QPushButton::clicked, this, &FindPane::find);
    grid->addWidget(act, 0, 5);
    grid->setColumnStretch(6, 1);
    table_->showRows({}, {});
    words_->setText(
        QStringLiteral("Type how hot a zone should be and press Enter. Untested settings are "
                       "included, with their wider ±."));
}

void FindPane::wish(const std::string& zone, const QString& low, const QString& high) {
    for (const ZoneRow& row : rows_)
        if (row.zone == zone) {
            row.low->setText(low);
            row.high->setText(high);
        }
}

Result<kitchen::WantedHeat> FindPane::wanted() const {
    kitchen::WantedHeat out;
    for (const ZoneRow& row : rows_) {
        kitchen::WantedZone zone{row.zone};
        for (const auto& [edit, side] : {std::pair{row.low, &zone.lowK}, {row.high, &zone.highK}}) {
            const QString typed = edit->text().trimmed();
            if (typed.isEmpty())
                continue;
            const auto t = parseTemperature(toStd(typed), document_.units().temperature());
            if (!t)
                return tl::unexpected(t.error().in(toStd(edit->accessibleName())));
            *side = t->kelvin();
        }
        if (!row.low->text().trimmed().isEmpty() || !row.high->text().trimmed().isEmpty())
            out.zones.push_back(zone);
    }
    return out;
}

void FindPane::find() {
    const auto* appliance = findAppliance(document_.kitchen(), applianceId_);
    const auto wish = wanted();
    if (!appliance || !wish) {
        words_->setText(wish ? QString()
                             : QStringLiteral("! %1").arg(toQt(wish.error(), document_.units())));
        return;
    }
    const auto found = findSettings(document_.kitchen(), *appliance, *wish);
    if (!found) {
        words_->setText(QStringLiteral("! %1").arg(toQt(found.error(), document_.units())));
        return;
    }
    showFound(*found, *wish);
}

/// Nothing is likely: how near the kitchen comes.
QString FindPane::noneWords(const kitchen::WantedHeat& wish) const {
    const auto* appliance = findAppliance(document_.kitchen(), applianceId_);
    const auto nearest = nearestMeasured(document_.kitchen(), *appliance, wish);
    if (!nearest || !*nearest)
        return QStringLiteral(
            "None: every chance is under 5 %, and nothing was measured yet. Rate a setting "
            "first.");
    const auto unit = document_.units().temperature();
    QStringList zones;
    for (std::size_t i = 0; i < wish.zones.size(); ++i)
        zones << QStringLiteral("%1 %2").arg(
            toQt(wish.zones[i].zone),
            toQt(printTemperature(Temperature::kelvin((*nearest)->zones[i].kelvin), unit,
                                  halfWidthK((*nearest)->zones[i]))));
    return QStringLiteral("None: every chance is under 5 %. The nearest measured is %1: %2.")
        .arg(toQt(settingLabel(appliance->controls, (*nearest)->setting, document_.units())),
             zones.join(QStringLiteral(", ")));
}

void FindPane::showFound(const std::vector<kitchen::FoundSetting>& found,
                         const kitchen::WantedHeat& wish) {
    const auto* appliance = findAppliance(document_.kitchen(), applianceId_);
    settings_.clear();
    QStringList headers{QStringLiteral("Chance"), QStringLiteral("Setup")};
    for (const auto& zone : wish.zones)
        headers << toQt(zone.zone);
    headers << QStringLiteral("Rests on");
    QVector<QStringList> rows;
    for (std::size_t i = 0; i < std::min(found.size(), kMostRows); ++i) {
        const kitchen::FoundSetting& f = found[i];
        QStringList row{toQt(printFixed(f.probability * 100, 0)) + QStringLiteral(" %"),
                        toQt(settingLabel(appliance->controls, f.setting, document_.units()))};
        for (const auto& shown : f.zones)
            row << toQt(printTemperature(Temperature::kelvin(shown.kelvin),
                                         document_.units().temperature(), halfWidthK(shown)));
        row << (f.addedUp ? QStringLiteral("burners added up, not tested")
                          : QString::fromUtf8(enumName(f.provenance)));
        rows << row;
        settings_.push_back(settingText(appliance->controls, f.setting));
    }
    table_->showRows(headers, rows);
    words_->setText(found.empty()
                        ? noneWords(wish)
                        : QStringLiteral("%1 settings may give that, the most likely first. Enter "
                                         "shows one in the rate sheet.")
                              .arg(found.size()));
    table_->setCurrentRow(0);
}

} // namespace dynamet::app
