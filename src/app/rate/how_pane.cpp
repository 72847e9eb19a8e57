// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/rate/how_pane.h"

#include "rating/inputs/given_values.h"
#include "rating/inputs/guide_text.h"
#include "rating/inputs/timed_readings.h"

#include <QFormLayout>
#include <QScrollArea>
#include <QTimer>

namespace dynamet::app {
namespace {

constexpr double kTypedResolution = 0.1;

/// Protocols whose log can be typed as well: few readings tell enough.
bool canBeTyped(const std::string& protocol) {
    return protocol == "water-heat-up";
}

} // namespace

HowPane::HowPane(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), unit_(document.units().temperature()),
      conditions_(new ConditionsForm(document, this)) {
    setObjectName(QStringLiteral("pane"));
    setAttribute(Qt::WA_StyledBackground);
    conditions_->hide();
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
    auto* label = new QLabel(toQt(rating::inReaderUnits(toStd(words), document_.units())));
    label->setObjectName(QString::fromLatin1(kind));
    label->setWordWrap(true);
    column_->addWidget(label);
}

void HowPane::showProtocol(const rating::Protocol& protocol,
                           const std::map<std::string, double>& given) {
    const bool otherUnit = unit_ != document_.units().temperature();
    std::vector<std::string> hiddenBefore, hiddenNow;
    for (const rating::ValueSpec& value : protocol.values) {
        if (given_.count(value.name))
            hiddenBefore.push_back(value.name);
        if (given.count(value.name))
            hiddenNow.push_back(value.name);
    }
    const bool same = protocol_ == &protocol && !otherUnit && hiddenBefore == hiddenNow;
    remember();
    if (otherUnit)
        translateUnits();
    protocol_ = &protocol;
    given_ = given;
    unit_ = document_.units().temperature();
    if (!same)
        rebuild();
    showGiven();
}

/// Typed texts are kept by protocol, so that a glance at another test costs nothing.
void HowPane::remember() {
    if (!protocol_)
        return;
    auto& kept = kept_[protocol_->id];
    for (const Field& field : fields_)
        if (field.touched)
            kept[field.value->name] = textOf(field);
    for (const auto& [role, edit] : readings_)
        kept["reading:" + role] = edit->text();
}

/// Temperatures that were typed without a unit were meant in the unit that stood there.
void HowPane::translateUnits() {
    const QString was = QString::fromUtf8(unitSign(unit_));
    for (auto& [protocol, texts] : kept_) {
        const rating::Protocol* known = rating::findProtocol(protocol);
        for (auto& [name, typed] : texts) {
            const bool reading = name.starts_with("reading:");
            const bool timed = reading && known && known->fromLog;
            const bool points =
                reading && known && (timed || isTemperature(*known, name.substr(8)));
            if (points && !typed.trimmed().isEmpty() && !typed.contains(QLatin1Char('C')) &&
                !typed.contains(QLatin1Char('F')))
                typed = timed ? typed.section(QLatin1Char(','), 0, 0) + was +
                                    (typed.contains(QLatin1Char(','))
                                         ? QStringLiteral(",") + typed.section(QLatin1Char(','), 1)
                                         : QString())
                              : typed.trimmed() + QLatin1Char(' ') + was;
            if (reading || !known)
                continue;
            for (const rating::ValueSpec& value : known->values)
                if (value.name == name && value.kind == rating::ValueKind::temperature)
                    if (const auto t = parseTemperature(toStd(typed), unit_))
                        typed = toQt(printTemperature(*t, document_.units().temperature()));
        }
    }
}

void HowPane::rebuild() {
    fields_.clear();
    readings_.clear();
    conditions_->setParent(this); // out of the old body before that goes
    conditions_->hide();
    setProperty("guide", toQt("protocols/" + protocol_->id));
    auto* scroll = findChild<QScrollArea*>();
    // A field may be asking for this in its own key: its body goes when that is over.
    if (QWidget* old = scroll->takeWidget()) {
        old->hide();
        old->deleteLater();
    }
    body_ = new QWidget;
    body_->setObjectName(QStringLiteral("pane"));
    body_->setAttribute(Qt::WA_StyledBackground);
    column_ = new QVBoxLayout(body_);
    column_->setContentsMargins(12, 10, 12, 10);
    column_->setSpacing(6);
    addText(QStringLiteral("HOW"), "overline");
    addText(toQt(protocol_->title), "heading");
    addText(QStringLiteral("Finds %1.").arg(toQt(protocol_->finds)), "plain");
    addSources();
    addFields();
    addText(QStringLiteral("CONDITIONS"), "overline");
    column_->addWidget(conditions_);
    conditions_->setVisible(true);
    addText(QStringLiteral("You need %1.").arg(toQt(protocol_->needs)), "quiet");
    for (std::size_t i = 0; i < protocol_->steps.size(); ++i)
        addText(QStringLiteral("%1  %2").arg(i + 1).arg(toQt(protocol_->steps[i])), "plain");
    QStringList cautions;
    for (const std::string& caution : protocol_->cautions)
        cautions << toQt(caution);
    addText(QStringLiteral("! Caution: %1").arg(cautions.join(QStringLiteral("\n"))), "caution");
    addText(QStringLiteral("Takes %1. Spoilt by %2.")
                .arg(toQt(protocol_->howLong), toQt(protocol_->spoils)),
            "quiet");
    column_->addStretch();
    scroll->setWidget(body_);
    body_->show();
}

QString HowPane::textOf(const Field& field) const {
    return field.choice ? field.choice->currentData().toString() : field.edit->text();
}

void HowPane::setText(const Field& field, const QString& text) {
    if (field.choice)
        field.choice->setCurrentIndex(std::max(0, field.choice->findData(text)));
    else
        field.edit->setText(text);
}

/// What is given stands in its field as long as nobody typed there.
void HowPane::showGiven() {
    for (Field& field : fields_)
        if (const auto at = given_.find(field.value->name); at != given_.end() && !field.touched)
            setText(field, toQt(rating::shownValue(*field.value, at->second, unit_)));
}

void HowPane::addFields() {
    auto* form = new QFormLayout;
    form->setContentsMargins(0, 4, 0, 4);
    form->setHorizontalSpacing(10);
    form->setRowWrapPolicy(QFormLayout::WrapLongRows);
    for (const rating::ValueSpec& value : protocol_->values)
        if (value.asked && !(given_.contains(value.name) && rating::isSettled(value.name)))
            addField(*form, value);
    column_->addLayout(form);
}

void HowPane::addField(QFormLayout& form, const rating::ValueSpec& value) {
    const auto& kept = kept_[protocol_->id];
    const auto typed = kept.find(value.name);
    Field field{&value, nullptr, nullptr, typed != kept.end()};
    const std::size_t at = fields_.size();
    if (value.kind == rating::ValueKind::choice) {
        field.choice = new QComboBox;
        for (const rating::Choice& choice : value.choices)
            field.choice->addItem(toQt(choice.label), toQt(choice.word));
        connect(field.choice, &QComboBox::activated, this,
                [this, at] { fields_[at].touched = true; });
    } else {
        field.edit = new QLineEdit;
        field.edit->setMinimumWidth(80);
        field.edit->setMaximumWidth(130);
        if (value.optional)
            field.edit->setPlaceholderText(QStringLiteral("not known"));
        connect(field.edit, &QLineEdit::textEdited, this,
                [this, at] { fields_[at].touched = true; });
    }
    QWidget* widget = field.choice ? static_cast<QWidget*>(field.choice) : field.edit;
    widget->setAccessibleName(toQt(value.label));
    form.addRow(toQt(value.label), widget);
    setText(field, typed != kept.end() ? typed->second : toQt(rating::usualText(value, unit_)));
    fields_.push_back(field);
}

QLineEdit* HowPane::reading(QFormLayout& form, const QString& label, const QString& hint,
                            const std::string& role) {
    auto* edit = new QLineEdit;
    edit->setAccessibleName(QStringLiteral("%1 readings").arg(label));
    edit->setPlaceholderText(hint);
    edit->setToolTip(hint);
    edit->setText(kept_[protocol_->id]["reading:" + role]);
    form.addRow(label, edit);
    connect(edit, &QLineEdit::returnPressed, this, &HowPane::keyedReady);
    readings_.emplace_back(role, edit);
    return edit;
}

void HowPane::addKeyed() {
    const QString sign = QString::fromUtf8(unitSign(unit_));
    auto* form = new QFormLayout;
    form->setRowWrapPolicy(QFormLayout::WrapLongRows);
    for (const rating::KeyedRole& role : protocol_->keyed) {
        const QString unit = role.kind == rating::KeyedKind::temperature
                                 ? QStringLiteral(", in %1").arg(sign)
                             : role.kind == rating::KeyedKind::minutes ? QStringLiteral(", in min")
                                                                       : QString();
        reading(*form, toQt(role.label), toQt(role.hint) + unit, role.role);
    }
    if (protocol_->fromLog && canBeTyped(protocol_->id))
        for (const std::string& role : protocol_->roles)
            reading(*form, QStringLiteral("Typed, %1").arg(toQt(role)),
                    QStringLiteral("minute and %1: 0 65, 1 82, 2 99").arg(sign), role);
    column_->addLayout(form);
}

void HowPane::addImport(const char* rank) {
    auto* import = new QPushButton(QStringLiteral("Import a log…  (Ctrl+I)"));
    import->setObjectName(QString::fromUtf8(rank));
    import->setAccessibleName(QStringLiteral("Import a log"));
    connect(import, &QPushButton::clicked, this, &HowPane::importWanted);
    column_->addWidget(import);
    addText(QStringLiteral("Or drop the logger's file anywhere on this page."), "quiet");
}

/// By instruments on the line, or one reading after another by hand.
void HowPane::addLive() {
    auto* live = new QPushButton(protocol_->takesLog() ? QStringLiteral("Measure live…  (F5)")
                                                       : QStringLiteral("Spot by spot…  (F5)"));
    live->setAccessibleName(QStringLiteral("Measure live"));
    connect(live, &QPushButton::clicked, this, &HowPane::liveWanted);
    column_->addWidget(live);
}

void HowPane::addWork(const char* rank) {
    auto* work = new QPushButton(QStringLiteral("Work it out"));
    work->setObjectName(QString::fromUtf8(rank));
    work->setAccessibleName(QStringLiteral("Work it out"));
    connect(work, &QPushButton::clicked, this, &HowPane::keyedReady);
    column_->addWidget(work);
}

/// The usual way first, each with its own button below it.
void HowPane::addSources() {
    if (!protocol_->fromLog) {
        addKeyed();
        addWork("act");
        if (protocol_->takesLog() || !protocol_->keyed.empty())
            addLive();
        if (protocol_->alsoLog)
            addImport("");
        return;
    }
    addImport("act");
    addLive();
    if (!canBeTyped(protocol_->id))
        return;
    addText(QStringLiteral("No logger? Read by hand and type it:"), "quiet");
    addKeyed();
    addWork("");
}

void HowPane::fill(const book::TestRecord& test) {
    for (Field& field : fields_) {
        const auto at = test.typed.find(field.value->name);
        if (at != test.typed.end()) {
            setText(field, toQt(at->second));
            field.touched = true;
        }
    }
    for (const auto& [role, edit] : readings_) {
        const auto at = test.keyed.find(role);
        QStringList words;
        for (const book::KeyedReading& reading :
             at == test.keyed.end() ? std::vector<book::KeyedReading>{} : at->second)
            words << toQt(reading.typed);
        if (!words.isEmpty())
            edit->setText(words.join(QLatin1Char(' ')));
    }
    conditions_->showTest(test);
}

Result<rating::TypedValues> HowPane::values(const std::set<std::string>& later) const {
    rating::Protocol asked = *protocol_;
    std::erase_if(asked.values,
                  [&](const rating::ValueSpec& value) { return later.contains(value.name); });
    auto out = rating::readTyped(asked, typed(), unit_);
    if (out)
        out->values.insert(given_.begin(), given_.end());
    return out;
}

std::map<std::string, std::string> HowPane::typed() const {
    std::map<std::string, std::string> out;
    for (const Field& field : fields_)
        out[field.value->name] = toStd(textOf(field));
    return out;
}

Result<std::map<std::string, std::vector<book::KeyedReading>>> HowPane::keyed() const {
    std::map<std::string, std::vector<book::KeyedReading>> out;
    for (const rating::KeyedRole& role : protocol_->keyed) {
        QString typed;
        for (const auto& [name, edit] : readings_)
            if (name == role.role)
                typed = edit->text().trimmed();
        if (!role.needed && typed.isEmpty())
            continue;
        const auto read = rating::parseKeyed(role, toStd(typed), unit_);
        if (!read)
            return tl::unexpected(read.error());
        out[role.role] = *read;
    }
    return out;
}

Result<std::vector<book::RecordedChannel>> HowPane::timed() const {
    std::vector<book::RecordedChannel> out;
    if (!protocol_->fromLog)
        return out;
    for (const auto& [role, edit] : readings_) {
        const auto read = rating::parseTimed(toStd(edit->text()), unit_);
        if (!read)
            return tl::unexpected(read.error().in(toStd(edit->accessibleName())));
        book::RecordedChannel channel;
        channel.role = role;
        channel.name = "typed";
        channel.unit = unitSign(read->unit);
        channel.resolution = kTypedResolution;
        for (const rating::TimedReading& r : read->readings) {
            channel.timeS.push_back(r.timeS);
            channel.asRecorded.push_back(r.value);
        }
        out.push_back(std::move(channel));
    }
    return out;
}

} // namespace dynamet::app
