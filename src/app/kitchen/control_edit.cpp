// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/kitchen/control_edit.h"

#include "kitchen/dial.h"
#include "kitchen/marks.h"
#include "quantity/number_text.h"

#include <QFormLayout>
#include <QHBoxLayout>

namespace dynamet::app {
namespace {

using kitchen::ControlKind;

constexpr std::size_t kMostBurners = 8;
constexpr double kMostCoals = 120;
constexpr int kNumberWidth = 84;
const std::array<const char*, 3> kUnits{"C", "F", "gas"};

/// "Dial", "Flame", "Burners": the control's own word, as a label.
QString titleOf(const kitchen::Control& control) {
    if (isTemperatureDial(control))
        return QStringLiteral("Dial");
    QString out = toQt(control.key);
    out[0] = out[0].toUpper();
    return out;
}

} // namespace

bool ControlEdit::canEdit(const kitchen::Control& control) {
    return control.kind != ControlKind::preheat &&
           !(control.kind == ControlKind::lid && control.labels.size() < 2);
}

ControlEdit::ControlEdit(const Units& units, const kitchen::Control& control, QWidget* parent)
    : QWidget(parent), units_(units), control_(control) {
    build();
}

QLineEdit* ControlEdit::line(const QString& label, const QString& words) {
    auto* out = new QLineEdit(words);
    out->setAccessibleName(label);
    static_cast<QFormLayout*>(layout())->addRow(label, out);
    return out;
}

void ControlEdit::build() {
    auto* form = new QFormLayout(this);
    form->setContentsMargins(0, 0, 0, 0);
    form->setFieldGrowthPolicy(QFormLayout::AllNonFixedFieldsGrow);
    const QString title = titleOf(control_);
    const TemperatureUnit unit = units_.temperature();
    if (isNumeric(control_.kind)) {
        auto* row = new QHBoxLayout;
        if (isTemperatureDial(control_)) {
            unit_ = new QComboBox;
            unit_->setAccessibleName(QStringLiteral("%1 marked in").arg(title));
            unit_->addItems(
                {QStringLiteral("°C"), QStringLiteral("°F"), QStringLiteral("gas marks")});
            row->addWidget(unit_);
            connect(unit_, &QComboBox::activated, this, [this](int at) {
                control_ = markedIn(control_, kUnits[static_cast<std::size_t>(at)]);
                showUnit();
            });
        }
        for (const auto& [field, words, name] :
             {std::tuple{&low_, QStringLiteral("from"), QStringLiteral("%1 from").arg(title)},
              {&high_, QStringLiteral("to"), QStringLiteral("%1 to").arg(title)},
              {&step_, QStringLiteral("in steps of"), QStringLiteral("%1 step").arg(title)}}) {
            *field = new QLineEdit;
            (*field)->setAccessibleName(name);
            (*field)->setFixedWidth(kNumberWidth);
            row->addWidget(new QLabel(words));
            row->addWidget(*field);
        }
        row->addStretch();
        form->addRow(title, row);
        showUnit();
    } else if (control_.kind == ControlKind::coals) {
        high_ = line(QStringLiteral("Most coals"), toQt(printFixed(control_.high, 0)));
    } else if (control_.kind == ControlKind::burners) {
        names_ = line(QStringLiteral("Burners"), toQt(kitchen::namesLine(control_.burners)));
        marks_ = line(QStringLiteral("Levels of a burner"), toQt(marksLine(control_, unit)));
    } else {
        marks_ = line(QStringLiteral("%1 marks").arg(title), toQt(marksLine(control_, unit)));
    }
    if (marks_ && meaningOf(control_.kind) == kitchen::MarkMeaning::share)
        marks_->setToolTip(QStringLiteral(
            "Marks in order, separated by commas: \"1-9\", or with the share of full "
            "power where it is known, \"low 15 %, medium 50 %, full\""));
    if (marks_ && meaningOf(control_.kind) == kitchen::MarkMeaning::temperature)
        marks_->setToolTip(
            QStringLiteral("Marks in order, each with the temperature it usually gives"));
}

void ControlEdit::showUnit() {
    for (std::size_t i = 0; unit_ && i < kUnits.size(); ++i)
        if (control_.unit == kUnits[i])
            unit_->setCurrentIndex(static_cast<int>(i));
    low_->setText(toQt(dialText(control_, control_.low)));
    high_->setText(toQt(dialText(control_, control_.high)));
    step_->setText(toQt(printFixed(control_.step, 0)));
    step_->setVisible(control_.unit != "gas");
}

/// A number on the dial without its limits, which are being typed.
Result<double> ControlEdit::numberOf(const QLineEdit& field) const {
    kitchen::Control open = control_;
    open.low = -1e6;
    open.high = 1e6;
    const auto value = parseDial(open, toStd(field.text().trimmed()));
    return value ? value : tl::unexpected(value.error().in(toStd(field.accessibleName())));
}

Result<void> ControlEdit::takeRange(kitchen::Control& out) const {
    const auto low = numberOf(*low_), high = numberOf(*high_);
    if (!low || !high)
        return tl::unexpected((low ? high : low).error());
    std::string_view rest;
    const std::string typed = toStd(step_->text());
    rest = typed;
    const auto step = takeNumber(rest);
    if (!step || !(*step > 0) || !(*high > *low))
        return fail(Errc::invalidArgument,
                    toStd(QStringLiteral(
                              "%1: it should go from a lower to a higher number, in steps above 0")
                              .arg(titleOf(control_))));
    if (isTemperatureDial(control_) && control_.unit != "gas" &&
        (dialTemperature(control_, *high).celsius() > 1000 || *low < -50))
        return fail(Errc::invalidArgument,
                    toStd(QStringLiteral("%1: no dial goes that far").arg(titleOf(control_))));
    out.low = *low;
    out.high = *high;
    out.step = *step;
    return {};
}

Result<kitchen::Control> ControlEdit::control() const {
    kitchen::Control out = control_;
    if (low_) {
        if (const auto range = takeRange(out); !range)
            return tl::unexpected(range.error());
    } else if (high_) {
        const std::string typed = toStd(high_->text());
        std::string_view rest = typed;
        const auto most = takeNumber(rest);
        if (!most || *most < 1 || *most > kMostCoals)
            return fail(Errc::invalidArgument, toStd(QStringLiteral("Most coals: 1 to 120")));
        out.high = *most;
    }
    if (names_) {
        auto names = kitchen::namesFrom(toStd(names_->text()), kMostBurners);
        if (!names)
            return tl::unexpected(names.error().in(toStd(names_->accessibleName())));
        out.burners = std::move(*names);
    }
    if (marks_) {
        auto marks = kitchen::marksFrom(toStd(marks_->text()), out.kind, units_.temperature());
        if (!marks)
            return tl::unexpected(marks.error().in(toStd(marks_->accessibleName())));
        out.labels = std::move(*marks);
    }
    return out;
}

} // namespace dynamet::app
