// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/plan/on_already_dialog.h"

#include <QLabel>
#include <QVBoxLayout>
#include <algorithm>

namespace dynamet::app {

OnAlreadyDialog::OnAlreadyDialog(Document& document, const plan::Menu& menu, QWidget* parent)
    : QDialog(parent), document_(document), on_(menu.on), appliance_(new QComboBox),
      setting_(new SettingEdit(QStringLiteral("On already"))), list_(new QListWidget) {
    setWindowTitle(QStringLiteral("What is on already"));
    setProperty("guide", QStringLiteral("plan"));
    auto* box = new QVBoxLayout(this);
    auto* words =
        new QLabel(QStringLiteral("What is hot when the plan begins, and at which setting. "
                                  "Everything else is cold."));
    words->setWordWrap(true);
    box->addWidget(words);
    appliance_->setAccessibleName(QStringLiteral("Appliance that is on"));
    for (const kitchen::Appliance& on : document.kitchen().appliances)
        if (menu.siteId.empty() || on.siteId == menu.siteId)
            appliance_->addItem(toQt(on.name), toQt(on.id));
    connect(appliance_, &QComboBox::currentIndexChanged, this, &OnAlreadyDialog::showSetting);
    box->addWidget(appliance_);
    box->addWidget(setting_);
    auto* add = new QPushButton(QStringLiteral("It is on"));
    add->setAccessibleName(QStringLiteral("It is on at this setting"));
    add->setEnabled(appliance_->count() > 0);
    connect(add, &QPushButton::clicked, this, &OnAlreadyDialog::note);
    box->addWidget(add);
    list_->setAccessibleName(QStringLiteral("On already"));
    box->addWidget(list_);
    auto* off = new QPushButton(QStringLiteral("It is off"));
    off->setAccessibleName(QStringLiteral("It is off"));
    connect(off, &QPushButton::clicked, this, &OnAlreadyDialog::off);
    box->addWidget(off);
    auto* foot = new QHBoxLayout;
    foot->addStretch();
    for (const bool keeps : {true, false}) {
        auto* button = new QPushButton(keeps ? QStringLiteral("Save") : QStringLiteral("Cancel"));
        button->setAccessibleName(button->text());
        if (keeps)
            button->setObjectName(QStringLiteral("act"));
        connect(button, &QPushButton::clicked, this, keeps ? &QDialog::accept : &QDialog::reject);
        foot->addWidget(button);
    }
    box->addLayout(foot);
    showSetting();
    fill();
}

const kitchen::Appliance* OnAlreadyDialog::chosen() const {
    return findAppliance(document_.kitchen(), toStd(appliance_->currentData().toString()));
}

void OnAlreadyDialog::showSetting() {
    const auto* on = chosen();
    if (!on)
        return;
    const auto known = std::find_if(on_.begin(), on_.end(),
                                    [&](const auto& one) { return one.applianceId == on->id; });
    setting_->showSetting(*on, known == on_.end() ? kitchen::usualSetting(on->controls)
                                                  : known->setting);
}

void OnAlreadyDialog::note() {
    const auto* on = chosen();
    const auto setting = setting_->setting();
    if (!on || !setting)
        return; // the field says what is wrong
    std::erase_if(on_, [&](const auto& one) { return one.applianceId == on->id; });
    on_.push_back({on->id, *setting});
    fill();
}

void OnAlreadyDialog::off() {
    const int at = list_->currentRow();
    if (at < 0)
        return;
    on_.erase(on_.begin() + at);
    fill();
}

void OnAlreadyDialog::fill() {
    list_->clear();
    for (const plan::OnAlready& one : on_)
        if (const auto* on = findAppliance(document_.kitchen(), one.applianceId))
            list_->addItem(toQt(on->name) + QStringLiteral(", ") +
                           toQt(settingLabel(on->controls, one.setting, document_.units())));
    list_->setCurrentRow(list_->count() - 1);
}

} // namespace dynamet::app
