// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/rate/how_pane.h"

#include <QFormLayout>
#include <QScrollArea>

namespace dynamet::app {

HowPane::HowPane(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), conditions_(new ConditionsForm(document, this)) {
    setObjectName(QStringLiteral("pane"));
    setAttribute(Qt::WA_StyledBackground);
    setMinimumWidth(272); // its longest button, the scroll bar beside
    auto* outer = new QVBoxLayout(this);
    outer->setContentsMargins(0, 0, 0, 0);
    auto* scroll = new QScrollArea;
    scroll->setWidgetResizable(true);
    scroll->setFocusPolicy(Qt::NoFocus);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    outer->addWidget(scroll);
}

void HowPane::addText(const QString& words, const char* kind) {
    auto* label = new QLabel(words);
    label->setObjectName(QString::fromLatin1(kind));
    label->setWordWrap(true);
    column_->addWidget(label);
}

void HowPane::show(const rating::Protocol& protocol, double dialC,
                   const std::map<std::string, std::string>& typed) {
    protocol_ = &protocol;
    fields_.clear();
    keyed_.clear();
    conditions_->setParent(this); // out of the old body before that goes
    conditions_->hide();
    setProperty("guide", text("protocols/" + protocol.id));
    auto* scroll = findChild<QScrollArea*>();
    body_ = new QWidget;
    body_->setObjectName(QStringLiteral("pane"));
    body_->setAttribute(Qt::WA_StyledBackground);
    column_ = new QVBoxLayout(body_);
    column_->setContentsMargins(12, 10, 12, 10);
    column_->setSpacing(6);
    addText(tr("HOW"), "overline");
    addText(text(protocol.title), "heading");
    addText(tr("Finds %1.").arg(text(protocol.finds)), "plain");
    addSources();
    addFields(dialC, typed);
    addText(tr("CONDITIONS"), "overline");
    column_->addWidget(conditions_);
    conditions_->setVisible(true);
    addText(tr("You need %1.").arg(text(protocol.needs)), "quiet");
    for (std::size_t i = 0; i < protocol.steps.size(); ++i)
        addText(QStringLiteral("%1  %2").arg(i + 1).arg(text(protocol.steps[i])), "plain");
    QStringList cautions;
    for (const std::string& caution : protocol.cautions)
        cautions << text(caution);
    addText(tr("! Caution: %1").arg(cautions.join(QStringLiteral("\n"))), "caution");
    addText(tr("Takes %1. Spoilt by %2.").arg(text(protocol.howLong), text(protocol.spoils)),
            "quiet");
    column_->addStretch();
    scroll->setWidget(body_);
}

void HowPane::addFields(double dialC, const std::map<std::string, std::string>& typed) {
    auto* form = new QFormLayout;
    form->setContentsMargins(0, 4, 0, 4);
    form->setHorizontalSpacing(10);
    form->setRowWrapPolicy(QFormLayout::WrapLongRows);
    for (const rating::NeededValue& value : protocol_->values) {
        auto* edit = new QLineEdit;
        edit->setAccessibleName(text(value.label));
        QString standard = text(value.standard);
        QString unit = text(value.unit);
        if (value.celsius) {
            const auto shown = value.name == "set_C" && dialC > 0
                                   ? Temperature::celsius(dialC)
                                   : Temperature::celsius(std::stod(value.standard));
            standard = text(printFixed(numberIn(shown, document_.units().temperature()), 0));
            unit = QString::fromUtf8(unitSign(document_.units().temperature()));
        }
        const auto given = typed.find(value.name);
        edit->setText(given != typed.end() ? text(given->second)
                      : unit.isEmpty()     ? standard
                                           : standard + QStringLiteral(" ") + unit);
        edit->setMinimumWidth(80);
        edit->setMaximumWidth(130);
        form->addRow(text(value.label), edit);
        fields_.push_back(edit);
    }
    column_->addLayout(form);
}

void HowPane::addSources() {
    const QString sign = QString::fromUtf8(unitSign(document_.units().temperature()));
    auto* form = new QFormLayout;
    for (const rating::KeyedRole& role : protocol_->keyed) {
        auto* edit = new QLineEdit;
        edit->setAccessibleName(tr("%1 readings").arg(text(role.label)));
        const QString unit = role.kind == rating::KeyedKind::temperature ? tr(", in %1").arg(sign)
                             : role.kind == rating::KeyedKind::minutes   ? tr(", in min")
                                                                         : QString();
        edit->setPlaceholderText(text(role.hint) + unit);
        form->addRow(text(role.label), edit);
        connect(edit, &QLineEdit::returnPressed, this, &HowPane::keyedReady);
        keyed_.push_back(edit);
    }
    column_->addLayout(form);
    if (protocol_->fromLog) {
        auto* import = new QPushButton(tr("Import a log…  (Ctrl+I)"));
        import->setObjectName(QStringLiteral("act"));
        import->setAccessibleName(tr("Import a log"));
        connect(import, &QPushButton::clicked, this, &HowPane::importWanted);
        column_->addWidget(import);
        addText(tr("Or drop the logger's file anywhere on this page."), "quiet");
        return;
    }
    auto* work = new QPushButton(tr("Work it out"));
    work->setObjectName(QStringLiteral("act"));
    work->setAccessibleName(tr("Work it out"));
    connect(work, &QPushButton::clicked, this, &HowPane::keyedReady);
    column_->addWidget(work);
}

Result<std::map<std::string, double>> HowPane::values() const {
    std::map<std::string, double> out;
    for (std::size_t i = 0; i < fields_.size(); ++i) {
        const rating::NeededValue& value = protocol_->values[i];
        const auto read =
            parseNeeded(value, plain(fields_[i]->text()), document_.units().temperature());
        if (!read)
            return tl::unexpected(read.error());
        out[value.name] = *read;
    }
    return out;
}

std::map<std::string, std::string> HowPane::typed() const {
    std::map<std::string, std::string> out;
    for (std::size_t i = 0; i < fields_.size(); ++i)
        out[protocol_->values[i].name] = plain(fields_[i]->text());
    return out;
}

Result<std::map<std::string, std::vector<book::KeyedReading>>> HowPane::keyed() const {
    std::map<std::string, std::vector<book::KeyedReading>> out;
    for (std::size_t i = 0; i < keyed_.size(); ++i) {
        const rating::KeyedRole& role = protocol_->keyed[i];
        const QString typed = keyed_[i]->text().trimmed();
        if (!role.needed && typed.isEmpty())
            continue;
        const auto readings =
            rating::parseKeyed(role, plain(typed), document_.units().temperature());
        if (!readings)
            return tl::unexpected(readings.error());
        for (const rating::TypedReading& r : *readings)
            out[role.role].push_back({r.value, r.typed});
    }
    return out;
}

} // namespace dynamet::app
