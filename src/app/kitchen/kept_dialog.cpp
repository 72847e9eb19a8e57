// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/kitchen/kept_dialog.h"

#include "app/widgets/scrolled.h"
#include "book/recipe_request.h"
#include "quantity/parse_duration.h"
#include "words/translation_words.h"

#include <QDialogButtonBox>
#include <QPushButton>
#include <QVBoxLayout>

namespace dynamet::app {

KeptDialog::KeptDialog(Document& document, const std::string& translationId, QWidget* parent)
    : QDialog(parent), document_(document), about_(new QLabel),
      table_(new TextTable(QStringLiteral("Then and today"))) {
    setWindowTitle(QStringLiteral("A kept translation"));
    setProperty("guide", QStringLiteral("kitchen"));
    resizeOnScreen(*this, {860, 520});
    auto* box = new QVBoxLayout(this);
    about_->setWordWrap(true);
    about_->setAccessibleName(QStringLiteral("About the kept translation"));
    box->addWidget(about_);
    box->addWidget(table_, 1);
    auto* buttons = new QDialogButtonBox;
    buttons->addButton(QStringLiteral("Close"), QDialogButtonBox::RejectRole);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    box->addWidget(buttons);
    for (const recipe::Recipe& recipe : document.recipes()) {
        const auto lines = listTranslations(document.book(), recipe.id);
        for (const auto& line : lines.value_or(std::vector<book::TranslationLine>{})) {
            if (line.id != translationId)
                continue;
            const auto rows = formats::keptRows(line.snapshotJson);
            if (!rows) {
                about_->setText(QStringLiteral("! %1").arg(toQt(rows.error(), document.units())));
                return;
            }
            kept_ = *rows;
            about_->setText(
                QStringLiteral(
                    "%1, kept %2 ago. On the right: what the same recipe gives with today's "
                    "ratings. The kept one is unchanged.")
                    .arg(toQt(recipe.name), agoWords(line.createdMs, document.now().utcMs)));
            connect(&worker_, &TranslationWorker::rowReady, this,
                    [this](const translate::Row& row, bool complete) {
                        if (complete)
                            today_.push_back(row);
                        fill();
                    });
            auto request = requestOf(recipe, document.kitchen(), document.choices());
            request.units = document.units();
            worker_.start(request, {});
        }
    }
    fill();
}

QStringList KeptDialog::rowOf(const formats::KeptRow& row) const {
    const auto unit = document_.units().temperature();
    const auto cell = [&](const QString& setting, double pullK, std::optional<double> expectS) {
        return QStringLiteral("%1, pull at %2%3")
            .arg(setting, toQt(printTemperature(Temperature::kelvin(pullK), unit)),
                 expectS ? QStringLiteral(", expect %1").arg(toQt(printDuration(*expectS)))
                         : QString());
    };
    QString then = QStringLiteral("not reached"), now = QStringLiteral("being computed");
    const kitchen::Appliance* appliance = nullptr;
    for (const kitchen::Appliance& a : document_.kitchen().appliances)
        if (a.name == row.appliance)
            appliance = &a;
    if (row.reached) {
        const auto setting = appliance ? parseSetting(appliance->controls, row.setting)
                                       : Result<kitchen::Setting>(kitchen::Setting{});
        then = cell(appliance && setting
                        ? toQt(settingLabel(appliance->controls, *setting, document_.units()))
                        : toQt(row.setting),
                    row.pullK, row.expectS);
    }
    if (!appliance)
        now = QStringLiteral("the appliance is no longer there");
    for (const translate::Row& today : today_)
        if (appliance && today.target.applianceId == appliance->id && today.target.zone == row.zone)
            now = today.reached
                      ? cell(toQt(settingLabel(appliance->controls, today.instruction.setting,
                                               document_.units())),
                             today.instruction.pullK,
                             today.window ? std::optional(today.window->expectS) : std::nullopt)
                      : toQt(words::reasonWords(today, document_.units()));
    return {QStringLiteral("%1, %2").arg(toQt(row.appliance), toQt(row.zone)), then, now};
}

void KeptDialog::fill() {
    QVector<QStringList> rows;
    for (const formats::KeptRow& row : kept_)
        rows << rowOf(row);
    table_->showRows({QStringLiteral("Place"), QStringLiteral("Then"), QStringLiteral("Today")},
                     rows);
}

} // namespace dynamet::app
