// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/rate/cell_chooser.h"

#include <QHBoxLayout>
#include <QSignalBlocker>
#include <QVBoxLayout>

namespace dynamet::app {

CellChooser::CellChooser(Document& document, RateController& rating, QWidget* parent)
    : QWidget(parent), document_(document), rating_(rating), sheet_(new RateSheetView(document)),
      compared_(new ComparedSheet(document)),
      setting_(new SettingEdit(QStringLiteral("Rate at"), SettingEdit::Preheat::left)),
      where_(new QLabel), tests_(new QComboBox) {
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(0, 0, 0, 0);
    box->setSpacing(8);
    auto* sheets = new QHBoxLayout;
    sheets->setSpacing(0);
    sheets->addWidget(sheet_, 1);
    sheets->addWidget(compared_, 1);
    box->addLayout(sheets);
    box->addLayout(buildSettingLine());
    connect(sheet_, &RateSheetView::cellChosen, this, &CellChooser::showCell);
    connect(setting_, &SettingEdit::edited, this,
            [this](const kitchen::Setting& setting) { choose(setting, sheet_->zone()); });
}

QLayout* CellChooser::buildSettingLine() {
    auto* line = new QHBoxLayout;
    line->setSpacing(8);
    auto* words = new QLabel(QStringLiteral("Rate at"));
    words->setObjectName(QStringLiteral("heading"));
    line->addWidget(words);
    line->addWidget(setting_);
    setting_->orderAfter(sheet_);
    where_->setObjectName(QStringLiteral("quiet"));
    where_->setAccessibleName(QStringLiteral("Setting to be rated"));
    where_->setTextFormat(Qt::PlainText);
    line->addWidget(where_);
    line->addStretch();
    tests_->setAccessibleName(QStringLiteral("Tests of this cell"));
    connect(tests_, &QComboBox::activated, this, [this](int item) {
        if (const QString id = tests_->itemData(item).toString(); !id.isEmpty())
            emit testWanted(toStd(id));
    });
    for (QComboBox* chooser : {tests_, compared_->choice()}) {
        chooser->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
        chooser->setMinimumContentsLength(10);
        line->addWidget(chooser);
    }
    return line;
}

void CellChooser::showAppliance(bool another) {
    if (another)
        sheet_->clearSelection();
    showSheet();
    compared_->showAppliance(rating_.applianceId());
}

void CellChooser::showSheet() {
    if (!rating_.appliance())
        return;
    sheet_->showSheet(rating_.applianceId(), 0, rating_.sheetWith());
    sizeSheet(pageHeight_);
    showCell();
}

/// The sheet shows all of its rows where there is room, and never more than half of the page.
void CellChooser::sizeSheet(int pageHeight) {
    constexpr int kLeast = 104, kFrame = 4;
    pageHeight_ = pageHeight;
    const int rows = sheet_->model()->rowCount();
    const int wanted = sheet_->horizontalHeader()->sizeHint().height() +
                       rows * sheet_->verticalHeader()->defaultSectionSize() + kFrame;
    sheet_->setFixedHeight(std::clamp(wanted, kLeast, std::max(kLeast, pageHeight / 2 - 20)));
}

void CellChooser::choose(const kitchen::Setting& setting, const std::string& zone) {
    const kitchen::Appliance* appliance = rating_.appliance();
    if (!appliance)
        return;
    const kitchen::Setting row = rating_.addRow(setting);
    sheet_->showSheet(rating_.applianceId(), 0, rating_.sheetWith());
    sizeSheet(pageHeight_);
    sheet_->selectCell(settingText(appliance->controls, row), zone);
    showCell();
}

void CellChooser::showCell() {
    const kitchen::Appliance* appliance = rating_.appliance();
    const auto setting = sheet_->setting();
    if (!appliance || !setting)
        return;
    setting_->showSetting(*appliance, *setting);
    QStringList where{toQt(sheetLabel(*appliance, *setting, document_.units()))};
    if (appliance->zones.size() > 1)
        where << toQt(sheet_->zone());
    const auto choices = rating_.withChoices();
    for (const auto& with : choices)
        if (with.id == rating_.withId() && choices.size() > 1)
            where << with.name;
    where_->setText(where.join(QStringLiteral(", ")));
    where_->setToolTip(where_->text());
    listTests(*setting);
    emit cellChosen();
}

void CellChooser::listTests(const kitchen::Setting& setting) {
    const QSignalBlocker quiet(tests_);
    tests_->clear();
    for (const auto& line : rating_.testsOf(setting, sheet_->zone()))
        tests_->addItem(QStringLiteral("%1, %2%3")
                            .arg(toQt(rating::findProtocol(line.protocol)->shortName),
                                 agoWords(line.startedMs, document_.now().utcMs),
                                 line.draft ? QStringLiteral(", unfinished") : QString()),
                        toQt(line.id));
    tests_->insertItem(0, tests_->count() == 0 ? QStringLiteral("No test yet")
                                               : QStringLiteral("Tests: %1").arg(tests_->count()));
    tests_->setCurrentIndex(0);
}

} // namespace dynamet::app
