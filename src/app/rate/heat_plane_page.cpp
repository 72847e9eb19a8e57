// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/rate/heat_plane_page.h"

#include <QHBoxLayout>
#include <QPainter>
#include <QPushButton>
#include <QVBoxLayout>

namespace dynamet::app {
HeatPlanePage::HeatPlanePage(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), view_(new HeatPlaneView(document)), words_(new QLabel),
      compared_(new QLabel), table_(new TextTable(QStringLiteral("Marks of the heat plane"))) {
    setObjectName(QStringLiteral("pane"));
    setAttribute(Qt::WA_StyledBackground);
    setProperty("guide", QStringLiteral("heat-plane"));
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(16, 10, 16, 10);
    auto* line = new QHBoxLayout;
    words_->setAccessibleName(QStringLiteral("Mark in hand"));
    compared_->setAccessibleName(QStringLiteral("Compared with"));
    compared_->setObjectName(QStringLiteral("quiet"));
    for (QLabel* label : {words_, compared_})
        label->setWordWrap(true);
    auto* both = new QVBoxLayout;
    both->addWidget(words_);
    both->addWidget(compared_);
    line->addLayout(both, 1);
    auto* save = new QPushButton(QStringLiteral("Save the picture…"));
    save->setAccessibleName(QStringLiteral("Save the heat plane"));
    line->addWidget(save, 0, Qt::AlignTop);
    box->addLayout(line);
    auto* body = new QHBoxLayout;
    body->addWidget(view_, 9);
    body->addWidget(table_, 17);
    box->addLayout(body, 1);
    connect(view_, &HeatPlaneView::markChosen, this, [this](int index) {
        if (table_->currentRow() != index)
            table_->setCurrentRow(index);
        showWords();
    });
    connect(view_, &HeatPlaneView::markHeld, this, &HeatPlanePage::showWords);
    connect(table_, &TextTable::rowChosen, this, [this](int row) {
        if (row >= 0 && row != view_->chosen())
            view_->choose(row);
    });
    connect(save, &QPushButton::clicked, this, [this] { keepPicture(document_, this, *view_); });
}

void HeatPlanePage::showAppliance(const std::string& id) {
    applianceId_ = id;
    marks_.clear();
    if (document_.isOpen())
        for (const kitchen::Appliance& appliance : document_.kitchen().appliances)
            for (const kitchen::PlaneMark& mark : planeMarks(document_.kitchen(), appliance))
                if (mark.provenance != kitchen::Provenance::assumed || appliance.id == id)
                    marks_.push_back(mark);
    const auto unit = document_.units().temperature();
    QVector<QStringList> rows;
    for (const kitchen::PlaneMark& m : marks_) {
        const auto* appliance = findAppliance(document_.kitchen(), m.applianceId);
        rows << QStringList{
            toQt(appliance->name),
            toQt(m.settingLabel) +
                (appliance->zones.size() > 1 ? QStringLiteral(", ") + toQt(m.zone) : QString()),
            toQt(printTemperature(Temperature::kelvin(m.kelvin), unit, halfWidthK(m))),
            toQt(printPlusMinus(m.coefficient, halfWidthCoefficient(m), "")),
            toQt(printFixed(m.fluxW_m2 / 1000, 1)),
            QString::fromUtf8(enumName(m.provenance))};
    }
    table_->showRows({QStringLiteral("Appliance"), QStringLiteral("Setting"),
                      QStringLiteral("Acts like"), QStringLiteral("W/m²K"), QStringLiteral("kW/m²"),
                      QStringLiteral("Rests on")},
                     rows);
    view_->showMarks(marks_, id);
    showWords();
}

QString HeatPlanePage::wordsOf(int index) const {
    const kitchen::PlaneMark& m = marks_[static_cast<std::size_t>(index)];
    const auto* appliance = findAppliance(document_.kitchen(), m.applianceId);
    return QStringLiteral(
               "%1, %2: acts like %3 with a heat transfer of %4; a cold surface gets %5 kW/m².")
        .arg(toQt(appliance->name), toQt(m.settingLabel),
             toQt(printTemperature(Temperature::kelvin(m.kelvin), document_.units().temperature(),
                                   halfWidthK(m))),
             toQt(printPlusMinus(m.coefficient, halfWidthCoefficient(m), "W/m²K")),
             toQt(printFixed(m.fluxW_m2 / 1000, 1)));
}

void HeatPlanePage::showWords() {
    const int chosen = view_->chosen(), held = view_->held();
    const int count = static_cast<int>(marks_.size());
    words_->setText(
        chosen >= 0 && chosen < count
            ? wordsOf(chosen)
            : QStringLiteral("No setting to show yet: choose an appliance on the left."));
    compared_->setText(
        held >= 0 && held < count && held != chosen
            ? QStringLiteral("Compared with: %1").arg(wordsOf(held))
            : QStringLiteral(
                  "Solid: measured, with its 95 % ellipse; a line through: interpolated; hollow: "
                  "assumed. Arrow keys walk the marks, Enter holds one to compare."));
}

} // namespace dynamet::app
