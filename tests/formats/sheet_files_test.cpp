// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// A sheet as a page and as a spreadsheet; the spreadsheet is read back by openpyxl, a reader that
// is not ours.
#include "formats/sheet_files.h"

#include "formats/text_file.h"

#include <cstdlib>
#include <filesystem>
#include <gtest/gtest.h>

namespace dynamet::formats {
namespace {

words::Sheet sheet() {
    return {"Loin & <crust>",
            {"Written for: Deck oven, 180 °C"},
            {"Appliance", "Pull at"},
            {{"Gale 160 °C", "61 °C"}, {"Basket “hot”", "60 °C"}},
            {"Local codes decide."}};
}

TEST(SheetFiles, APageHoldsEveryCellAndNoTagOfAnybodys) {
    const std::string html = sheetHtml(sheet());
    EXPECT_NE(html.find("Loin &amp; &lt;crust&gt;"), std::string::npos);
    EXPECT_EQ(html.find("<crust>"), std::string::npos);
    for (const char* part : {"Gale 160 °C", "61 °C", "Basket “hot”", "Local codes decide."})
        EXPECT_NE(html.find(part), std::string::npos) << part;
}

TEST(SheetFiles, ASpreadsheetIsReadBackByAnotherProgram) {
    const auto folder = std::filesystem::temp_directory_path() / "dynamet-sheet-test";
    std::filesystem::create_directories(folder);
    const std::string path = (folder / "fleet.xlsx").string();
    ASSERT_TRUE(writeSheetXlsx(sheet(), path));
    const std::string out = (folder / "cells.txt").string();
    const std::string command =
        "/usr/bin/python3 -c \"import openpyxl,sys; w=openpyxl.load_workbook(sys.argv[1]).active; "
        "open(sys.argv[2],'w').write('|'.join(str(c.value) for r in w.rows for c in r if "
        "c.value))\" " +
        path + " " + out;
    ASSERT_EQ(std::system(command.c_str()), 0);
    const auto cells = readTextFile(out);
    ASSERT_TRUE(cells);
    EXPECT_EQ(*cells,
              "Loin & <crust>|Written for: Deck oven, 180 °C|Appliance|Pull at|Gale 160 °C|61 "
              "°C|Basket “hot”|60 °C|Local codes decide.");
    EXPECT_FALSE(writeSheetXlsx(sheet(), "/no/such/folder/fleet.xlsx"));
    std::filesystem::remove_all(folder);
}

} // namespace
} // namespace dynamet::formats
