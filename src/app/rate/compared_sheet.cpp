// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/rate/compared_sheet.h"

#include <QDateTime>
#include <QLabel>
#include <QSignalBlocker>
#include <QVBoxLayout>

namespace dynamet::app {
ComparedSheet::ComparedSheet(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), choice_(new QComboBox), title_(new QLabel),
      sheet_(new RateSheetView(document)) {
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(8, 0, 0, 0);
    box->setSpacing(2);
    title_->setObjectName(QStringLiteral("quiet"));
    box->addWidget(title_);
    box->addWidget(sheet_, 1);
    sheet_->setAccessibleName(QStringLiteral("Rate sheet beside"));
    sheet_->verticalHeader()->setFixedWidth(130);
    choice_->setAccessibleName(QStringLiteral("Rate sheet to compare with"));
    connect(choice_, &QComboBox::currentIndexChanged, this, &ComparedSheet::showChosen);
    hide();
}

void ComparedSheet::showAppliance(const std::string& id) {
    const QString kept = id == applianceId_ ? choice_->currentText() : QString();
    applianceId_ = id;
    const QSignalBlocker quiet(choice_);
    choice_->clear();
    choice_->addItem(QStringLiteral("Compare with…"));
    auto days = kitchen::ratedDays(document_.ratedHistory(id));
    if (!days.empty())
        days.pop_back(); // the newest is what the first sheet shows
    for (const std::int64_t end : days)
        choice_->addItem(QStringLiteral("As on %1")
                             .arg(QDateTime::fromMSecsSinceEpoch(end, Qt::UTC)
                                      .toString(QStringLiteral("yyyy-MM-dd"))),
                         QVariant::fromValue<qint64>(end));
    for (const kitchen::Appliance& other : document_.kitchen().appliances)
        if (other.id != id)
            choice_->addItem(toQt(other.name), toQt(other.id));
    choice_->setCurrentIndex(std::max(0, choice_->findText(kept)));
    showChosen();
}

void ComparedSheet::showChosen() {
    const QVariant chosen = choice_->currentData();
    setVisible(choice_->currentIndex() > 0);
    if (choice_->currentIndex() <= 0)
        return;
    const bool day = chosen.userType() == QMetaType::LongLong;
    title_->setText(day ? QStringLiteral("%1, this appliance").arg(choice_->currentText())
                        : choice_->currentText());
    sheet_->showSheet(day ? applianceId_ : toStd(chosen.toString()), day ? chosen.toLongLong() : 0);
}

} // namespace dynamet::app
