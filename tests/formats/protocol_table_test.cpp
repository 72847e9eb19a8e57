// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// The table of values in docs/formats.md is the descriptors' own.
#include "formats/protocol_table.h"
#include "formats/text_file.h"

#include <gtest/gtest.h>
#include <nlohmann/json.hpp>

namespace {

using namespace dynamet;

TEST(ProtocolTable, TheDocumentedTableIsTheProgramsOwn) {
    const auto document = formats::readTextFile(DOCS_FOLDER "/formats.md");
    ASSERT_TRUE(document.has_value());
    EXPECT_NE(document->find(formats::protocolMarkdown()), std::string::npos)
        << "docs/formats.md should hold\n"
        << formats::protocolMarkdown();
}

TEST(ProtocolTable, JsonTellsRangesDefaultsAndChoices) {
    const auto map = formats::protocolJson(*rating::findProtocol("surface-map"));
    bool seen = false;
    for (const auto& value : map.at("values")) {
        if (value.at("name") == "surface") {
            EXPECT_EQ(value.at("choices").size(), 4u);
        }
        if (value.at("name") != "emissivity")
            continue;
        seen = true;
        EXPECT_DOUBLE_EQ(value.at("high").get<double>(), 1);
        EXPECT_FALSE(value.at("required").get<bool>());
    }
    EXPECT_TRUE(seen);
}

} // namespace
