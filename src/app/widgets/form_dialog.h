// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"
#include "app/widgets/dialog_foot.h"
#include "app/widgets/quantity_field.h"

#include <QComboBox>
#include <QDialog>
#include <QFormLayout>

namespace dynamet::app {

/// A dialog of labelled fields that saves one thing. Save looks at every field first: the first one
/// that is wrong is said under it and gets the keys.
class FormDialog : public QDialog {
    Q_OBJECT
  public:
    FormDialog(Document& document, const QString& title, QWidget* parent);

  protected:
    /// As high as its fields need, as far as the screen goes.
    void showEvent(QShowEvent* event) override;
    QLineEdit* addText(const QString& label, const std::string& value,
                       const QString& hint = QString());
    QuantityField* addQuantity(const QString& label, QuantityKind kind,
                               std::optional<double> value);
    QComboBox* addChoice(const QString& label, const QStringList& words, int at);
    /// Things by name, their ids as data; the one of `chosen` is current.
    template <class Things>
    QComboBox* addThings(const QString& label, const Things& things, const std::string& chosen,
                         const QString& none = QString());
    void addWide(QWidget* widget);
    QFormLayout& form() { return *form_; }
    void setRowVisible(QWidget* field, bool visible);
    /// Wide and high enough for its fields as they are now; never smaller than it is.
    void fitToFields();
    /// Takes over what stands in the fields; its error is shown at the foot.
    virtual Result<void> take() = 0;
    DialogFoot& foot() { return *foot_; }
    Document& document_;

  private:
    void save();
    QFormLayout* form_;
    QWidget* body_;
    DialogFoot* foot_;
};

/// The names of things, in their order.
template <class Things>
QStringList namesOf(const Things& things) {
    QStringList out;
    for (const auto& thing : things)
        out << toQt(thing.name);
    return out;
}

/// A text that may not be empty.
Result<std::string> named(const QLineEdit& field);

template <class Things>
QComboBox* FormDialog::addThings(const QString& label, const Things& things,
                                 const std::string& chosen, const QString& none) {
    QComboBox* out = addChoice(label, {}, 0);
    if (!none.isEmpty())
        out->addItem(none, QString());
    for (const auto& thing : things)
        out->addItem(toQt(thing.name), toQt(thing.id));
    out->setCurrentIndex(std::max(0, out->findData(toQt(chosen))));
    return out;
}

} // namespace dynamet::app
