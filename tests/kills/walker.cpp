// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Works in a window until it is killed; every rating that the window says is saved is told on
// standard output first thing after it. `walker BOOK open` only opens the book.
#include "app/hands.h"
#include "app/look/palette.h"

#include <unistd.h>

namespace {

using namespace hands;

void tell(const std::string& line) {
    [[maybe_unused]] const auto written = ::write(1, (line + "\n").data(), line.size() + 1);
}

/// Readings typed, Enter, Ctrl+Enter; how many ratings of the grill stand then.
std::size_t rateOnce(MainWindow& window, Document& document, int round) {
    type(&window, "Probe readings", QStringLiteral("%1 150 145").arg(130 + round % 20));
    QTest::keyClick(QApplication::focusWidget(), Qt::Key_Return);
    QApplication::processEvents();
    QTest::keyClick(&window, Qt::Key_Return, Qt::ControlModifier);
    QApplication::processEvents();
    const auto lines = listTests(document.book(), "yard-grill");
    return lines ? static_cast<std::size_t>(std::count_if(
                       lines->begin(), lines->end(), [](const auto& line) { return !line.draft; }))
                 : 0;
}

} // namespace

int main(int argc, char** argv) {
    if (argc < 2)
        return 2;
    qputenv("QT_QPA_PLATFORM", "offscreen");
    QApplication application(argc, argv);
    look::applyLook();
    Document document{[] { return kNow; }};
    if (!document.open(QString::fromUtf8(argv[1])) || !document.isWritable())
        return 3;
    tell("open");
    if (argc > 2)
        return 0;
    MainWindow window(document, QString());
    window.resize(1280, 800);
    window.show();
    window.activateWindow();
    if (!QTest::qWaitForWindowActive(&window))
        return 4;
    QTest::keyClick(&window, Qt::Key_Slash);
    auto* filter = find<QLineEdit>(&window, "Filter the line-up");
    QTest::keyClicks(filter, QStringLiteral("Yard"));
    QTest::keyClick(filter, Qt::Key_Return);
    QApplication::processEvents();
    for (int round = 0; round < 1000; ++round)
        tell("saved " + std::to_string(rateOnce(window, document, round)));
    return 0;
}
