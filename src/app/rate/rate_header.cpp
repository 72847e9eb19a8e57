// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/rate/rate_header.h"

#include <QHBoxLayout>
#include <QSignalBlocker>

namespace dynamet::app {
RateHeader::RateHeader(Document& document, RateController& rating, QWidget* parent)
    : QWidget(parent), document_(document), rating_(rating), title_(new ElidedLabel),
      about_(new ElidedLabel), unfinished_(new QPushButton), with_(new QComboBox),
      tabs_(new QButtonGroup(this)) {
    auto* line = new QHBoxLayout(this);
    line->setContentsMargins(0, 0, 0, 0);
    title_->setObjectName(QStringLiteral("heading"));
    title_->setStyleSheet(QStringLiteral("font-size: 20px"));
    about_->setObjectName(QStringLiteral("quiet"));
    line->addWidget(title_);
    about_->setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Preferred); // the name comes first
    line->addWidget(about_, 1);
    unfinished_->setAccessibleName(QStringLiteral("Go on with the unfinished test"));
    unfinished_->hide();
    connect(unfinished_, &QPushButton::clicked, this, [this] { emit testWanted(unfinishedId_); });
    line->addWidget(unfinished_);
    with_->setAccessibleName(QStringLiteral("Vessel or insert"));
    with_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    with_->setMinimumContentsLength(12);
    connect(with_, &QComboBox::activated, this, [this] {
        rating_.chooseWith(toStd(with_->currentData().toString()));
        emit withChosen();
    });
    line->addWidget(with_);
    int index = 0;
    for (const QString& name :
         {QStringLiteral("Bench"), QStringLiteral("Find"), QStringLiteral("Drift"),
          QStringLiteral("Heat plane"), QStringLiteral("Thermometers"), QStringLiteral("Coals")}) {
        auto* tab = new QPushButton(name);
        tab->setObjectName(QStringLiteral("method"));
        tab->setAccessibleName(QStringLiteral("Page %1").arg(name));
        tab->setCheckable(true);
        tab->setChecked(index == 0);
        tabs_->addButton(tab, index++);
        line->addWidget(tab);
    }
    connect(tabs_, &QButtonGroup::idClicked, this, &RateHeader::pageChosen);
}

bool RateHeader::hasCoals() const {
    const kitchen::Appliance* appliance = rating_.appliance();
    if (!appliance)
        return false;
    const kitchen::ApplianceKind kind = appliance->kind;
    return kind == kitchen::ApplianceKind::ironOven ||
           kind == kitchen::ApplianceKind::charcoalKettle ||
           kind == kitchen::ApplianceKind::coveredCeramicGrill;
}

void RateHeader::showPage(int page) {
    if (auto* tab = tabs_->button(page))
        tab->setChecked(true);
}

void RateHeader::refresh(const std::string& testInHand) {
    const kitchen::Appliance* appliance = rating_.appliance();
    with_->setVisible(false);
    unfinished_->setVisible(false);
    tabs_->buttons().constLast()->setVisible(hasCoals());
    if (!appliance) {
        title_->setText(QStringLiteral("No appliance yet"));
        about_->setText(QStringLiteral("Add the first one: Kitchen (Ctrl+K), or Add on the left."));
        return;
    }
    const auto* site = findSite(document_.kitchen(), appliance->siteId);
    title_->setText(toQt(appliance->name));
    about_->setText(
        QStringLiteral("%1 · %2").arg(QString::fromUtf8(kitchen::kindName(appliance->kind)),
                                      site ? toQt(site->name) : QString()));
    listWith();
    showUnfinished(testInHand);
}

void RateHeader::listWith() {
    const QSignalBlocker quiet(with_);
    with_->clear();
    for (const auto& choice : rating_.withChoices())
        with_->addItem(choice.name, toQt(choice.id));
    with_->setCurrentIndex(std::max(0, with_->findData(toQt(rating_.withId()))));
    with_->setVisible(isHob(rating_.appliance()->kind) || with_->count() > 1);
}

void RateHeader::showUnfinished(const std::string& testInHand) {
    const book::TestLine* line = rating_.unfinished(testInHand);
    unfinishedId_ = line ? line->id : "";
    unfinished_->setVisible(line);
    if (!line)
        return;
    const rating::Protocol& protocol = *rating::findProtocol(line->protocol);
    unfinished_->setText(QStringLiteral("Unfinished: %1").arg(toQt(protocol.shortName)));
    unfinished_->setToolTip(
        QStringLiteral("%1, %2 ago")
            .arg(toQt(protocol.title), agoWords(line->startedMs, document_.now().utcMs)));
}

} // namespace dynamet::app
