// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/rate/open_coals_pane.h"

#include "app/look/palette.h"
#include "app/widgets/kept_picture.h"
#include "app/widgets/quantity_kinds.h"
#include "kitchen/heat_field.h"
#include "words/coal_words.h"

#include <QHBoxLayout>
#include <QPainter>
#include <QScrollArea>
#include <QVBoxLayout>

namespace dynamet::app {
namespace {

constexpr double kUsualChimney = 1, kUsualLastsS = 1800;

} // namespace

OpenCoalsView::OpenCoalsView(QWidget* parent) : QWidget(parent) {
    setMinimumSize(360, 240);
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Expanding);
    setAccessibleName(QStringLiteral("Grates over the coals"));
    markAsPicture(*this);
}

void OpenCoalsView::showPlan(const std::optional<kitchen::OpenCoalsPlan>& plan,
                             coals::Layout layout, bool inches) {
    plan_ = plan;
    layout_ = layout;
    inches_ = inches;
    update();
}

void OpenCoalsView::paintEvent(QPaintEvent*) {
    if (!plan_ || plan_->heights.empty())
        return;
    constexpr double kBed = 26, kMargin = 14, kLine = 22;
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const double ground = height() - kMargin, top = kMargin + kLine;
    const double scale = (ground - kBed - top) / plan_->heights.back().heightM;
    const double left = kMargin, right = width() - kMargin;
    const bool oneSide = layout_ != coals::Layout::even;
    const double bedRight = oneSide ? (left + right) / 2 : right;
    p.setPen(QPen(look::ink(), 1));
    p.setBrush(look::heatColour(600)); // a glowing coal's
    for (double x = left + kBed / 2; x < bedRight; x += kBed)
        for (int layer = 0; layer < (layout_ == coals::Layout::banked ? 2 : 1); ++layer)
            p.drawEllipse(QPointF(x, ground - kBed / 2 - layer * kBed * 0.7), kBed / 2 - 2,
                          kBed / 2 - 4);
    p.setFont(look::textFont(15, true));
    for (const kitchen::AtGrate& at : plan_->heights) {
        const double y = ground - kBed - at.heightM * scale;
        p.setPen(QPen(look::quietInk(), 2));
        p.drawLine(QPointF(left, y), QPointF(right, y));
        p.setPen(look::ink());
        p.drawText(QRectF(left, y - kLine, right - left, kLine - 2),
                   Qt::AlignRight | Qt::AlignVCenter, toQt(words::grateWords(at, inches_)));
    }
}

OpenCoalsPane::OpenCoalsPane(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), wish_(new QWidget), lay_(new QLabel),
      lines_(new QLabel), cautions_(new QLabel), view_(new OpenCoalsView) {
    setObjectName(QStringLiteral("pane"));
    setAttribute(Qt::WA_StyledBackground);
    setProperty("guide", QStringLiteral("coals"));
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(16, 12, 16, 12);
    box->setSpacing(10);
    auto* heading = new QLabel(QStringLiteral("How much do you light, and how does it lie?"));
    heading->setObjectName(QStringLiteral("heading"));
    lay_->setObjectName(QStringLiteral("readout"));
    lay_->setAccessibleName(QStringLiteral("How to lay the open coals"));
    lines_->setAccessibleName(QStringLiteral("How long they last"));
    cautions_->setObjectName(QStringLiteral("caution"));
    cautions_->setAccessibleName(QStringLiteral("Before you light them"));
    for (QLabel* label : {lay_, lines_, cautions_})
        label->setWordWrap(true);
    QStringList cautions;
    for (const std::string& line : words::openCoalCautions())
        cautions << QStringLiteral("! ") + toQt(line);
    cautions_->setText(cautions.join(QStringLiteral("\n")));
    auto* page = new QWidget;
    auto* below = new QHBoxLayout(page);
    below->setContentsMargins(0, 0, 0, 0);
    below->setSpacing(24);
    below->addWidget(view_, 3);
    auto* said = new QVBoxLayout;
    said->setSpacing(10);
    said->addWidget(lines_);
    said->addWidget(cautions_);
    said->addStretch();
    below->addLayout(said, 2);
    auto* scroll = new QScrollArea;
    scroll->setWidgetResizable(true);
    scroll->setFrameShape(QFrame::NoFrame);
    scroll->setWidget(page);
    page->setAutoFillBackground(false);
    scroll->viewport()->setAutoFillBackground(false);
    box->addWidget(heading);
    box->addWidget(wish_);
    box->addWidget(lay_);
    box->addWidget(scroll, 1);
}

QWidget* OpenCoalsPane::buildWish() {
    auto* out = new QWidget;
    auto* line = new QHBoxLayout(out);
    line->setContentsMargins(0, 0, 0, 0);
    line->setSpacing(8);
    const auto typed = [&](const QString& name, QuantityKind kind, double value) {
        auto* field = new QuantityField(name, std::move(kind));
        field->setValue(value);
        field->edit().setMaximumWidth(100);
        connect(field, &QuantityField::edited, this, &OpenCoalsPane::count);
        return field;
    };
    chimney_ =
        typed(QStringLiteral("Chimneys lit"), kinds::number(QString(), 1, 0.1, 4), kUsualChimney);
    age_ = typed(QStringLiteral("Lit through since"), kinds::duration(4 * 3600), 0);
    lasts_ = typed(QStringLiteral("The cook takes"), kinds::duration(8 * 3600), kUsualLastsS);
    layout_ = new QComboBox;
    layout_->setAccessibleName(QStringLiteral("How they lie"));
    layout_->addItems({QStringLiteral("spread even"), QStringLiteral("banked on one side"),
                       QStringLiteral("on one half")});
    connect(layout_, &QComboBox::currentIndexChanged, this, &OpenCoalsPane::count);
    line->addWidget(chimney_);
    line->addWidget(new QLabel(QStringLiteral("chimneys full, lit through since")));
    line->addWidget(age_);
    line->addWidget(layout_);
    line->addWidget(new QLabel(QStringLiteral("for")));
    line->addWidget(lasts_);
    line->addStretch();
    return out;
}

void OpenCoalsPane::rebuildFields() {
    units_ = document_.units();
    auto* fresh = buildWish();
    layout()->replaceWidget(wish_, fresh);
    delete wish_;
    wish_ = fresh;
}

void OpenCoalsPane::showAppliance(const std::string& id) {
    applianceId_ = id;
    if (!units_ || !(*units_ == document_.units()))
        rebuildFields();
    count();
}

void OpenCoalsPane::count() {
    const auto* on = findAppliance(document_.kitchen(), applianceId_);
    if (!on || !lasts_)
        return;
    const Units& units = document_.units();
    kitchen::OpenCoalsWish wish;
    wish.heightsM = words::grateHeights(units.inches);
    wish.layout = static_cast<coals::Layout>(layout_->currentIndex());
    const auto refuse = [&](const Error& error) {
        lay_->setText(toQt(error, units));
        lines_->clear();
        view_->showPlan(std::nullopt, wish.layout, units.inches);
    };
    for (const auto& [field, to] :
         {std::pair{chimney_, &wish.chimney}, {age_, &wish.ageS}, {lasts_, &wish.lastsS}}) {
        const auto value = field->value();
        if (!value)
            return refuse(value.error());
        *to = value->value_or(*to);
    }
    const auto* site = findSite(document_.kitchen(), on->siteId);
    const auto plan = kitchen::openCoals(wish, site ? *site : kitchen::Site{});
    if (!plan)
        return refuse(plan.error());
    const auto lines = words::openCoalLines(*plan, wish, units);
    lay_->setText(toQt(lines.front()));
    QStringList rest;
    for (std::size_t i = 2; i < lines.size(); ++i) // the second line is the picture
        rest << toQt(lines[i]);
    lines_->setText(rest.join(QStringLiteral("\n")));
    view_->setAccessibleDescription(toQt(lines[1]));
    view_->showPlan(*plan, wish.layout, units.inches);
}

} // namespace dynamet::app
