// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/rate/found_pane.h"

#include "app/look/palette.h"
#include "app/widgets/kept_picture.h"
#include "words/rating_words.h"

#include <QGridLayout>
#include <QPainter>
#include <array>

namespace dynamet::app {
namespace {
constexpr int kBarHeight = 16, kLineHeight = 18;
const std::array<QColor, 5> kShades{QColor(0x3f, 0x55, 0x6b), QColor(0x7d, 0x8f, 0x9f),
                                    QColor(0xa9, 0xb4, 0x86), QColor(0xc0, 0x94, 0x4f),
                                    QColor(0xd5, 0xdc, 0xdc)};
} // namespace

CauseBar::CauseBar(QWidget* parent) : QWidget(parent) {
    setAccessibleName(QStringLiteral("What the uncertainty is made of"));
    markAsPicture(*this);
}

void CauseBar::showCauses(const std::vector<rating::Contribution>& contributions) {
    shares_.clear();
    QStringList spoken;
    for (const auto& [name, share] : words::varianceShares(contributions, kShades.size())) {
        shares_.emplace_back(toQt(name), share);
        spoken << QStringLiteral("%1 %2 %").arg(toQt(name)).arg(std::lround(share * 100));
    }
    setAccessibleDescription(spoken.join(QStringLiteral(", ")));
    setFixedHeight(
        shares_.empty() ? 0 : kBarHeight + 8 + kLineHeight * static_cast<int>(shares_.size()));
    update();
}

void CauseBar::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setFont(look::textFont(12));
    double x = 0;
    int y = kBarHeight + 6;
    for (std::size_t i = 0; i < shares_.size(); ++i) {
        const double w = shares_[i].second * width();
        p.fillRect(QRectF(x, 0, w, kBarHeight), kShades[i]);
        p.fillRect(QRect(0, y + 4, 10, 10), kShades[i]);
        p.setPen(look::ink());
        p.drawText(QRect(16, y, width() - 16, kLineHeight), Qt::AlignVCenter,
                   QStringLiteral("%1 %  %2")
                       .arg(std::lround(shares_[i].second * 100))
                       .arg(shares_[i].first));
        x += w;
        y += kLineHeight;
    }
}

FoundPane::FoundPane(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), sentence_(new QLabel), refusal_(new QLabel),
      numbers_(new QWidget), bar_(new CauseBar), sheet_(new QLabel), warnings_(new QLabel),
      save_(new QPushButton(QStringLiteral("Save the rating  (Ctrl+Enter)"))) {
    setObjectName(QStringLiteral("pane"));
    setAttribute(Qt::WA_StyledBackground);
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(12, 10, 12, 10);
    box->setSpacing(10);
    auto* overline = new QLabel(QStringLiteral("FOUND"));
    overline->setObjectName(QStringLiteral("overline"));
    sentence_->setObjectName(QStringLiteral("sentence"));
    sentence_->setAccessibleName(QStringLiteral("What was found"));
    refusal_->setObjectName(QStringLiteral("caution"));
    refusal_->setAccessibleName(QStringLiteral("Why there is no result"));
    warnings_->setObjectName(QStringLiteral("caution"));
    sheet_->setObjectName(QStringLiteral("quiet"));
    sheet_->setAccessibleName(QStringLiteral("Beside the rate sheet"));
    for (QLabel* label : {sentence_, refusal_, sheet_, warnings_}) {
        label->setWordWrap(true);
        label->setTextInteractionFlags(Qt::TextSelectableByMouse);
    }
    save_->setObjectName(QStringLiteral("act"));
    save_->setAccessibleName(QStringLiteral("Save the rating"));
    box->addWidget(overline);
    for (QWidget* w : {static_cast<QWidget*>(sentence_), static_cast<QWidget*>(refusal_),
                       static_cast<QWidget*>(save_), numbers_, static_cast<QWidget*>(sheet_),
                       static_cast<QWidget*>(bar_), static_cast<QWidget*>(warnings_)})
        box->addWidget(w);
    box->addStretch();
    connect(save_, &QPushButton::clicked, this, &FoundPane::saveWanted);
    showNothing();
}

void FoundPane::clearNumbers() {
    delete numbers_->layout();
    qDeleteAll(numbers_->findChildren<QWidget*>(Qt::FindDirectChildrenOnly));
}

void FoundPane::showNothing() {
    clearNumbers();
    sentence_->setText(QStringLiteral("The result will stand here."));
    sentence_->setObjectName(QStringLiteral("quiet"));
    sentence_->setStyleSheet({});
    for (QWidget* w :
         {static_cast<QWidget*>(refusal_), static_cast<QWidget*>(warnings_),
          static_cast<QWidget*>(save_), static_cast<QWidget*>(sheet_), static_cast<QWidget*>(bar_)})
        w->hide();
}

void FoundPane::showRefusal(const QString& reason) {
    showNothing();
    sentence_->setText(
        QStringLiteral("No result from these readings. They are kept as an unfinished test."));
    refusal_->setText(QStringLiteral("! %1").arg(reason));
    refusal_->show();
}

void FoundPane::ask(const std::vector<QString>& questions) {
    QStringList words;
    for (const QString& question : questions)
        words << QStringLiteral("! %1").arg(question);
    refusal_->setText(words.join(QStringLiteral("\n")));
    refusal_->show();
    save_->setText(QStringLiteral("Save it anyway"));
}

void FoundPane::showFound(const rating::Reduction& reduction, bool saved, const QString& sheet) {
    clearNumbers();
    sheet_->setText(sheet);
    sheet_->setVisible(!sheet.isEmpty());
    refusal_->hide();
    sentence_->setObjectName(QStringLiteral("sentence"));
    sentence_->setObjectName(QStringLiteral("sentence"));
    sentence_->setText(toQt(words::foundWords(reduction, document_.units())));
    auto* grid = new QGridLayout(numbers_);
    grid->setContentsMargins(0, 0, 0, 0);
    grid->setVerticalSpacing(2);
    int row = 0;
    for (const auto& [name, value] :
         words::numberLines(reduction, document_.units().temperature())) {
        auto* label = new QLabel(toQt(name));
        label->setObjectName(QStringLiteral("quiet"));
        grid->addWidget(label, row, 0);
        grid->addWidget(new QLabel(toQt(value)), row++, 1);
    }
    bar_->showCauses(reduction.contributions);
    bar_->setVisible(!reduction.contributions.empty());
    QStringList warnings;
    for (const auto& warning : reduction.warnings)
        warnings << QStringLiteral("! %1").arg(toQt(words::say(warning, document_.units())));
    warnings_->setText(warnings.join(QStringLiteral("\n")));
    warnings_->setVisible(!warnings.isEmpty());
    save_->setVisible(true);
    save_->setEnabled(!saved && document_.book().writable());
    save_->setText(saved ? QStringLiteral("Saved")
                         : QStringLiteral("Save the rating  (Ctrl+Enter)"));
}

} // namespace dynamet::app
