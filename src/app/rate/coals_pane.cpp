// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/rate/coals_pane.h"

#include "app/widgets/quantity_kinds.h"
#include "words/coal_words.h"

#include <QHBoxLayout>
#include <QScrollArea>
#include <QVBoxLayout>
#include <array>

namespace dynamet::app {
namespace {

constexpr double kInch = 0.0254;
constexpr std::array kInches{8, 10, 12, 14, 16};
constexpr int kUsualSize = 2;
constexpr double kUsualInsideK = 450.15, kUsualLastsS = 2700;

} // namespace

CoalsPane::CoalsPane(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), wish_(new QWidget), lay_(new QLabel),
      lines_(new QLabel), cautions_(new QLabel), view_(new CoalsView) {
    setObjectName(QStringLiteral("pane"));
    setAttribute(Qt::WA_StyledBackground);
    setProperty("guide", QStringLiteral("coals"));
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(16, 12, 16, 12);
    box->setSpacing(10);
    auto* heading = new QLabel(QStringLiteral("How hot should it be inside, and for what?"));
    heading->setObjectName(QStringLiteral("heading"));
    lay_->setObjectName(QStringLiteral("readout"));
    lay_->setWordWrap(true);
    lay_->setAccessibleName(QStringLiteral("How to lay the coals"));
    lines_->setWordWrap(true);
    lines_->setAccessibleName(QStringLiteral("How to feed and turn them"));
    cautions_->setWordWrap(true);
    cautions_->setObjectName(QStringLiteral("caution"));
    cautions_->setAccessibleName(QStringLiteral("Before you begin"));
    QStringList cautions;
    for (const std::string& line : words::coalCautions())
        cautions << QStringLiteral("! ") + toQt(line);
    cautions_->setText(cautions.join(QStringLiteral("\n")));
    box->addWidget(heading);
    box->addWidget(wish_);
    box->addWidget(lay_);
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
    box->addWidget(scroll, 1);
}

QWidget* CoalsPane::buildWish() {
    auto* out = new QWidget;
    auto* line = new QHBoxLayout(out);
    line->setContentsMargins(0, 0, 0, 0);
    line->setSpacing(8);
    const auto choice = [&](const QString& name, const QStringList& words, int at) {
        auto* box = new QComboBox;
        box->setAccessibleName(name);
        box->addItems(words);
        box->setCurrentIndex(at);
        connect(box, &QComboBox::currentIndexChanged, this, &CoalsPane::count);
        return box;
    };
    const auto typed = [&](const QString& name, QuantityKind kind, double value) {
        auto* field = new QuantityField(name, std::move(kind));
        field->setValue(value);
        field->edit().setMaximumWidth(110);
        connect(field, &QuantityField::edited, this, &CoalsPane::count);
        return field;
    };
    inside_ = typed(QStringLiteral("Inside"), kinds::temperature(*units_, 80, 300), kUsualInsideK);
    lasts_ = typed(QStringLiteral("The cook takes"), kinds::duration(8 * 3600), kUsualLastsS);
    job_ = choice(QStringLiteral("What for"),
                  {QStringLiteral("to bake (browned on top)"), QStringLiteral("to roast"),
                   QStringLiteral("to simmer"), QStringLiteral("to fry on its floor")},
                  0);
    QStringList sizes;
    for (const int inches : kInches)
        sizes << (units_->inches ? QStringLiteral("%1 in").arg(inches)
                                 : QStringLiteral("%1 cm (%2 in)")
                                       .arg(toQt(printFixed(inches * kInch * 100, 0)))
                                       .arg(inches));
    size_ = choice(QStringLiteral("Oven size"), sizes, kUsualSize);
    depth_ =
        choice(QStringLiteral("Depth"), {QStringLiteral("regular"), QStringLiteral("deep")}, 0);
    stacked_ = choice(QStringLiteral("Stacked"),
                      {QStringLiteral("alone"), QStringLiteral("2 stacked"),
                       QStringLiteral("3 stacked"), QStringLiteral("4 stacked")},
                      0);
    line->addWidget(new QLabel(QStringLiteral("Inside")));
    line->addWidget(inside_);
    line->addWidget(job_);
    line->addWidget(new QLabel(QStringLiteral("for")));
    line->addWidget(lasts_);
    line->addWidget(new QLabel(QStringLiteral("in an oven of")));
    line->addWidget(size_);
    line->addWidget(depth_);
    line->addWidget(stacked_);
    line->addStretch();
    return out;
}

void CoalsPane::rebuildFields() {
    units_ = document_.units();
    auto* fresh = buildWish();
    layout()->replaceWidget(wish_, fresh);
    delete wish_;
    wish_ = fresh;
}

void CoalsPane::showAppliance(const std::string& id) {
    applianceId_ = id;
    if (!units_ || !(*units_ == document_.units()))
        rebuildFields();
    count();
}

void CoalsPane::count() {
    const auto* oven = findAppliance(document_.kitchen(), applianceId_);
    if (!oven || !inside_)
        return;
    const auto inside = inside_->value(), lasts = lasts_->value();
    const auto refuse = [&](const Error& error) {
        lay_->setText(toQt(error, document_.units()));
        lines_->clear();
        view_->clear();
    };
    if (!inside || !lasts)
        return refuse((inside ? lasts : inside).error());
    kitchen::CoalWish wish;
    wish.insideK = inside->value_or(kUsualInsideK);
    wish.lastsS = lasts->value_or(kUsualLastsS);
    wish.job = static_cast<kitchen::CoalJob>(job_->currentIndex());
    wish.size = {kInches[static_cast<std::size_t>(size_->currentIndex())] * kInch,
                 depth_->currentIndex() == 1};
    wish.stacked = stacked_->currentIndex() + 1;
    const auto* site = findSite(document_.kitchen(), oven->siteId);
    const auto plan = coalPlan(document_.kitchen(), *oven, wish, site ? *site : kitchen::Site{});
    if (!plan)
        return refuse(plan.error());
    const auto lines = words::coalLines(*plan, wish, document_.units());
    lay_->setText(toQt(lines.front()));
    QStringList rest;
    for (std::size_t i = 1; i < lines.size(); ++i)
        rest << toQt(lines[i]);
    lines_->setText(rest.join(QStringLiteral("\n")));
    view_->showCoals(plan->first);
}

} // namespace dynamet::app
