// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"

namespace dynamet::app {

/// What the page Kitchen lists, and what may be done with it.
class KitchenController : public QObject {
    Q_OBJECT
  public:
    explicit KitchenController(Document& document, QObject* parent = nullptr)
        : QObject(parent), document_(document) {}
    enum Section { places = 0, appliances, vessels, inserts, instruments, recipes, kept };
    struct Thing {
        std::string id, name;
        bool retired = false;
    };
    /// Rows with a name and the facts a cook asks for first, and the things behind them.
    struct Listing {
        QStringList headers;
        std::vector<Thing> things;
        QVector<QStringList> rows;
    };
    Listing list(Section section, bool withRetired) const;
    /// Empty: it may go; else what depends on it.
    QString whyKept(Section section, const Thing& thing) const;
    Result<void> retireOrBringBack(Section section, const Thing& thing);
    /// Another recipe like one.
    Result<void> copyRecipe(const std::string& id);
    /// What can be done with a thing of a section (nullptr: none is chosen).
    struct Allowed {
        bool add, change, another, retire;
    };
    Allowed allowed(Section section, const Thing* thing) const;

  private:
    void addPlaces(Listing& out, const kitchen::Kitchen& from, bool retired) const;
    void addAppliances(Listing& out, const kitchen::Kitchen& from, bool retired) const;
    void addVessels(Listing& out, const kitchen::Kitchen& from, bool retired) const;
    void addInserts(Listing& out, const kitchen::Kitchen& from, bool retired) const;
    void addInstruments(Listing& out, const kitchen::Kitchen& from, bool retired) const;
    void addRecipes(Listing& out, bool withRetired) const;
    void addKept(Listing& out) const;
    Document& document_;
};

} // namespace dynamet::app
