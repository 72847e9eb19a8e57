// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// F1 wherever one is, words found in the guide, links that lead somewhere, every caution in it.
#include "app/hands.h"
#include "app/shell/guide_window.h"
#include "rating/inputs/guide_text.h"

#include <QFile>
#include <QRegularExpression>
#include <QTextBrowser>
#include <filesystem>
#include <fstream>
#include <nlohmann/json.hpp>

namespace {

using namespace hands;
using namespace dynamet;
namespace fs = std::filesystem;

std::string textOfFile(const fs::path& path) {
    std::ifstream in(path);
    return {std::istreambuf_iterator<char>(in), {}};
}

std::string heading(QWidget* in) {
    auto* browser = find<QTextBrowser>(in, "Guide page");
    return browser ? browser->toPlainText().section(QLatin1Char('\n'), 0, 0).toStdString() : "";
}

TEST(GuideWalk, F1LandsOnTheRightPageInEveryView) {
    Bench bench(true, Bench::Kitchen::few);
    const std::pair<Qt::Key, const char*> views[]{{Qt::Key_2, "Translate"}, {Qt::Key_3, "Plan"},
                                                  {Qt::Key_4, "Cook"},      {Qt::Key_5, "Compare"},
                                                  {Qt::Key_K, "Kitchen"},   {Qt::Key_L, "Compare"}};
    for (const auto& [key, begins] : views) {
        bench.press(key, Qt::ControlModifier);
        bench.press(Qt::Key_F1);
        auto* guide = bench.window->findChild<GuideWindow*>();
        ASSERT_NE(guide, nullptr);
        EXPECT_EQ(heading(guide).rfind(begins, 0), 0u) << heading(guide);
        QTest::keyClick(guide, Qt::Key_Escape);
    }
}

TEST(GuideWalk, F1WorksInADialogAndWordsAreFound) {
    Bench bench(true, Bench::Kitchen::few);
    inDialog([](QWidget* dialog) {
        auto* field = find<QLineEdit>(dialog, "File to take in");
        field->setFocus();
        QTest::keyClick(field, Qt::Key_F1);
        auto* guide = dialog->findChild<GuideWindow*>();
        ASSERT_NE(guide, nullptr);
        EXPECT_EQ(heading(guide).rfind("The book", 0), 0u) << heading(guide);
        auto* search = find<QLineEdit>(guide, "Search the guide");
        search->setFocus();
        QTest::keyClicks(search, QStringLiteral("charcoal"));
        EXPECT_TRUE(find<QTextBrowser>(guide, "Guide page")
                        ->toPlainText()
                        .contains(QStringLiteral("Coals")));
        QTest::keyClicks(search, QStringLiteral(" zzz"));
        EXPECT_TRUE(find<QTextBrowser>(guide, "Guide page")
                        ->toPlainText()
                        .contains(QStringLiteral("No page")));
        QTest::keyClick(guide, Qt::Key_Escape);
        QTest::keyClick(dialog, Qt::Key_Escape);
    });
    for (QAction* action : bench.window->actions())
        if (action->text() == QStringLiteral("Take in changes…"))
            action->trigger();
}

TEST(Guide, EveryLinkAndPictureIsThereAndEveryPageIsReached) {
    const fs::path guide(GUIDE);
    std::set<std::string> reached{"index.md"};
    for (const auto& entry : fs::recursive_directory_iterator(guide)) {
        if (entry.path().extension() != ".md")
            continue;
        static const QRegularExpression link(QStringLiteral("\\]\\(([^)]+)\\)"));
        const QString text = QString::fromStdString(textOfFile(entry.path()));
        for (auto at = link.globalMatch(text); at.hasNext();) {
            const std::string to = at.next().captured(1).toStdString();
            const bool there =
                fs::exists(entry.path().parent_path() / to) || fs::exists(guide / to);
            EXPECT_TRUE(there) << entry.path().filename() << ": " << to;
            reached.insert(to);
            if (to.ends_with(".png")) {
                EXPECT_TRUE(
                    QFile::exists(QStringLiteral(":/look/guide/") + QString::fromStdString(to)))
                    << to << " is not in the program";
            }
        }
    }
    for (const auto& entry : fs::recursive_directory_iterator(guide))
        if (entry.path().extension() == ".md") {
            EXPECT_TRUE(reached.contains(fs::relative(entry.path(), guide).string()))
                << entry.path().filename() << " cannot be reached";
        }
}

TEST(Guide, EveryCautionStandsInIt) {
    const std::string page = textOfFile(fs::path(GUIDE) / "cautions.md");
    const auto all = nlohmann::json::parse(textOfFile(CAUTIONS));
    for (const auto& one : all.at("cautions"))
        EXPECT_NE(page.find(one.at("text").get<std::string>()), std::string::npos)
            << one.at("id") << " is missing in cautions.md";
}

// Read aloud, a sentence is one breath: some 45 words (common practice, no source).
TEST(Guide, EverySentenceCanBeReadAloud) {
    constexpr qsizetype kBreath = 45;
    static const QRegularExpression paragraph(QStringLiteral("\\n\\s*\\n|\\n(?=[-#0-9|])"));
    static const QRegularExpression link(QStringLiteral("\\]\\([^)]*\\)"));
    static const QRegularExpression end(QStringLiteral("(?<=[.!?:;])\\s+(?=[A-Z(\"*])"));
    static const QRegularExpression twice(QStringLiteral("\\b(\\w+) \\1\\b"));
    for (const auto& entry : fs::recursive_directory_iterator(fs::path(GUIDE))) {
        if (entry.path().extension() != ".md")
            continue;
        QString page = QString::fromStdString(textOfFile(entry.path()));
        for (const QString& part : page.remove(link).split(paragraph)) {
            const QString words = part.simplified();
            EXPECT_FALSE(twice.match(words).hasMatch())
                << entry.path().filename() << ": " << twice.match(words).captured().toStdString();
            for (const QString& sentence : words.split(end))
                EXPECT_LE(sentence.count(QLatin1Char(' ')) + 1, kBreath)
                    << entry.path().filename() << ": " << sentence.toStdString();
        }
    }
}

TEST(Guide, PagesAreFoundByHowWordsBegin) {
    const std::vector<rating::GuidePage> pages{{"a", "# Coals\n\nBriquettes burn down."},
                                               {"b", "# Oven\n\nNo coals, but coals elsewhere."},
                                               {"c", "# Recoals\n\nnothing"}};
    const auto found = rating::pagesAbout(pages, "coal");
    ASSERT_EQ(found.size(), 2u) << "a word is found from its beginning";
    EXPECT_EQ(found[0].name, "a") << "the page that is about it comes first";
    EXPECT_EQ(rating::pagesAbout(pages, "coals BRIQ").size(), 1u);
    EXPECT_TRUE(rating::pagesAbout(pages, " ").empty());
}

} // namespace
