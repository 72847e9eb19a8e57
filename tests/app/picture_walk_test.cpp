// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Every picture of every view kept as a file, and read back by programs that are not ours: Qt's
// SVG reader, poppler's pdftotext and pdffonts, an image.
#include "app/hands.h"
#include "app/look/theme.h"
#include "app/widgets/kept_picture.h"
#include "app/widgets/plot.h"

#include <QFile>
#include <QMenu>
#include <QProcess>
#include <QSvgRenderer>
#include <set>

namespace {

using namespace hands;
using namespace dynamet;

QByteArray bytesOf(const QString& path) {
    QFile file(path);
    return file.open(QIODevice::ReadOnly) ? file.readAll() : QByteArray();
}

QString said(const char* program, const QStringList& words) {
    QProcess process;
    process.start(QString::fromUtf8(program), words);
    EXPECT_TRUE(process.waitForFinished()) << program;
    return QString::fromUtf8(process.readAllStandardOutput());
}

/// Share of an image's pixels that differ from its first one, and the share that is dark.
std::pair<double, double> drawnAndDark(const QImage& image) {
    qint64 drawn = 0, dark = 0, all = 0;
    for (int y = 0; y < image.height(); y += 2)
        for (int x = 0; x < image.width(); x += 2, ++all) {
            drawn += image.pixel(x, y) != image.pixel(0, 0);
            dark += qGray(image.pixel(x, y)) < 70;
        }
    return {double(drawn) / double(all), double(dark) / double(all)};
}

class PictureWalk : public ::testing::Test {
  protected:
    Bench bench;
    QWidget* window = bench.window.get();
    std::set<std::string> kept;
    QString file(const QString& name) { return bench.folder.filePath(name); }
    void settle() {
        waitFor([&] { return bench.window->isIdle(); });
        QApplication::processEvents();
    }
    /// Keeps every picture in sight in all three ways and looks at each.
    void keepAll(const char* where) {
        settle();
        const auto pictures = picturesIn(*window);
        EXPECT_GE(pictures.size(), 2u) << where << ": the line-up and what the page shows";
        for (QWidget* view : pictures) {
            const std::string name = std::string(where) + ": " + toStd(view->accessibleName());
            ASSERT_FALSE(view->accessibleName().isEmpty()) << where;
            kept.insert(toStd(view->accessibleName()));
            const QImage before = view->grab().toImage();
            for (const char* ending : {"svg", "pdf", "png"})
                EXPECT_EQ(
                    writeView(*view, file(QStringLiteral("p.%1").arg(QString::fromUtf8(ending)))),
                    QString())
                    << name;
            QApplication::processEvents();
            EXPECT_EQ(view->grab().toImage(), before) << name << ": it changed on the screen";
            QSvgRenderer svg(file(QStringLiteral("p.svg")));
            ASSERT_TRUE(svg.isValid()) << name;
            const QByteArray lines = bytesOf(file(QStringLiteral("p.svg")));
            EXPECT_GT(lines.count("<path") + lines.count("<polyline") + lines.count("<rect"), 3)
                << name;
            if (qobject_cast<Plot*>(view)) {
                EXPECT_EQ(lines.count("<image"), 0) << name << ": lines, not dots";
            }
            QImage drawn(svg.viewBox().size(), QImage::Format_RGB32);
            drawn.fill(Qt::white);
            QPainter painter(&drawn);
            svg.render(&painter);
            painter.end();
            const QImage png(file(QStringLiteral("p.png")));
            EXPECT_EQ(png.size(), svg.viewBox().size() * 2) << name;
            for (const QImage& image : {drawn, png}) {
                const auto [inked, dark] = drawnAndDark(image);
                EXPECT_GT(inked, 0.004) << name << ": nothing is drawn";
                EXPECT_LT(dark, 0.6) << name << ": paper is light";
            }
            // What the letters of the SVG say, the PDF says too, as letters that can be searched.
            const QString words =
                said("pdftotext", {file(QStringLiteral("p.pdf")), QStringLiteral("-")});
            if (lines.contains("<text")) {
                EXPECT_FALSE(words.simplified().isEmpty()) << name;
            }
        }
    }
};

TEST_F(PictureWalk, EveryPlotOfEveryViewIsKeptInThreeWays) {
    bench.choose("Yard grill");
    for (const char* page : {"Page Drift", "Page Heat plane"}) {
        click(window, page);
        keepAll(page);
    }
    bench.press(Qt::Key_2, Qt::ControlModifier);
    auto& reach = bench.window->translatePage().reach();
    ASSERT_TRUE(
        waitFor([&] { return bench.window->isIdle() && reach.rows().rowCount() > 0; }, 100000));
    keepAll("Translate");
    reach.openRow(0);
    keepAll("a row");
    bench.press(Qt::Key_3, Qt::ControlModifier);
    keepAll("Plan");
    bench.press(Qt::Key_5, Qt::ControlModifier);
    keepAll("Compare");
    for (const char* name : {"Line-up", "Control chart", "Heat plane", "Rows on their time axis",
                             "Core and faces over time", "The cut", "Timeline of the plan",
                             "Core of each cook: read, and predicted", "Scores of all tasters"})
        EXPECT_TRUE(kept.contains(name)) << name;
}

TEST_F(PictureWalk, InTheDarkLookThePaperIsStillWhite) {
    look::chooseTheme(look::ThemeChoice::dark);
    bench.choose("Yard grill");
    click(window, "Page Drift");
    keepAll("Drift in the dark");
    look::chooseTheme(look::ThemeChoice::light);
}

TEST_F(PictureWalk, TheKeyAsksWhichOneAndWhereTo) {
    bench.choose("Yard grill");
    click(window, "Page Drift");
    settle();
    // One dialog asks which, the next where to; both are answered by keys.
    const QString path = file(QStringLiteral("chart.pdf"));
    inDialog([&](QWidget* dialog) {
        auto* which = dialog->findChild<QComboBox*>();
        ASSERT_NE(which, nullptr);
        EXPECT_GE(which->count(), 2);
        which->setFocus();
        QTest::keyClicks(which, QStringLiteral("Control"));
        EXPECT_EQ(which->currentText(), QStringLiteral("Control chart"));
        inDialog(
            [&](QWidget* where) {
                type(where, "File to write", path);
                QTest::keyClick(where, Qt::Key_Return);
            },
            400, dialog);
        QTest::keyClick(dialog, Qt::Key_Return);
    });
    bench.press(Qt::Key_P, Qt::ControlModifier | Qt::ShiftModifier);
    EXPECT_TRUE(textOf(window, "Notice").contains(path));
    EXPECT_TRUE(said("pdffonts", {path}).contains(QStringLiteral("B612"))) << "its font is inside";
    const QString words = said("pdftotext", {path, QStringLiteral("-")});
    EXPECT_TRUE(words.contains(QStringLiteral("°C"))) << words.toStdString();
}

TEST_F(PictureWalk, ABadNameIsRefusedAndSaysWhy) {
    bench.choose("Yard grill");
    click(window, "Page Drift");
    settle();
    auto* chart = find(window, "Control chart");
    ASSERT_NE(chart, nullptr);
    EXPECT_TRUE(
        writeView(*chart, file(QStringLiteral("chart.doc"))).contains(QStringLiteral(".pdf")));
    EXPECT_FALSE(QFile::exists(file(QStringLiteral("chart.doc"))));
    EXPECT_FALSE(writeView(*chart, QStringLiteral("/no/such/folder/chart.png")).isEmpty());
}

TEST_F(PictureWalk, TheOtherButtonOnAPictureOffersToKeepIt) {
    bench.choose("Yard grill");
    click(window, "Page Drift");
    settle();
    auto* chart = find(window, "Control chart");
    ASSERT_NE(chart, nullptr);
    QStringList offered;
    QTimer::singleShot(0, [&] {
        if (auto* menu = qobject_cast<QMenu*>(QApplication::activePopupWidget())) {
            for (QAction* one : menu->actions())
                offered << one->text();
            menu->close();
        }
    });
    QContextMenuEvent event(QContextMenuEvent::Mouse, QPoint(5, 5),
                            chart->mapToGlobal(QPoint(5, 5)));
    QApplication::sendEvent(chart, &event);
    EXPECT_EQ(offered, QStringList{QStringLiteral("Keep this picture…")});
}

// A live change of the look recolours what was drawn before it, and back: no line is left over.
TEST_F(PictureWalk, LinesFollowTheLookAtOnce) {
    bench.choose("Yard grill");
    click(window, "Page Drift");
    settle();
    auto* chart = find<Plot>(window, "Control chart");
    ASSERT_NE(chart, nullptr);
    const auto colours = [&] {
        std::vector<QColor> out{chart->xAxis->basePen().color(), chart->yAxis->tickLabelColor()};
        for (int i = 0; i < chart->graphCount(); ++i) {
            out.push_back(chart->graph(i)->pen().color());
            out.push_back(chart->graph(i)->scatterStyle().brush().color());
        }
        return out;
    };
    const auto light = colours();
    EXPECT_GT(qGray(chart->grab().toImage().pixel(2, 2)), 200);
    look::chooseTheme(look::ThemeChoice::dark);
    EXPECT_LT(qGray(chart->grab().toImage().pixel(2, 2)), 60) << "at once";
    for (const QColor& colour : colours())
        EXPECT_EQ(look::twinIn(look::darkTheme(), colour), colour) << colour.name().toStdString();
    settle();
    EXPECT_NE(colours(), light);
    look::chooseTheme(look::ThemeChoice::light);
    settle();
    EXPECT_EQ(colours(), light);
}

} // namespace
