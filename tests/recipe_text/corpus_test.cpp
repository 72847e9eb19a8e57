// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Sentences written for the test, with what they say; see corpus/README.md.
#include "recipe_text/corpus.h"

#include <gtest/gtest.h>

namespace dynamet::recipe_text {
namespace {

struct Score {
    int right = 0, found = 0, expected = 0;
    double precision() const { return static_cast<double>(right) / std::max(1, found); }
    double recall() const { return static_cast<double>(right) / std::max(1, expected); }
};

Score scoreOf(const std::string& file, bool tell) {
    Score out;
    for (const CorpusSentence& sentence : corpusOf(file)) {
        const auto found = bindingsIn(sentence.text, sentence.scale);
        std::vector<bool> used(found.size(), false);
        std::string missed, extra;
        for (const Binding& want : sentence.bindings) {
            bool got = false;
            for (std::size_t i = 0; i < found.size() && !got; ++i)
                if (!used[i] && isRight(found[i], want))
                    got = used[i] = true;
            out.right += got ? 1 : 0;
            if (!got)
                missed += " [" + std::string(enumName(want.kind)) + "|" + want.text + "]";
        }
        for (std::size_t i = 0; i < found.size(); ++i)
            if (!used[i])
                extra += " [" + std::string(enumName(found[i].kind)) + "|" + found[i].text + "]";
        out.found += static_cast<int>(found.size());
        out.expected += static_cast<int>(sentence.bindings.size());
        if (tell && (!missed.empty() || !extra.empty()))
            std::printf("%s\n   missed:%s\n   extra:%s\n", sentence.text.c_str(), missed.c_str(),
                        extra.c_str());
    }
    std::printf("%s: precision %.3f, recall %.3f (%d expected, %d found)\n", file.c_str(),
                out.precision(), out.recall(), out.expected, out.found);
    return out;
}

TEST(Corpus, WhatTheParserWasWrittenByIsFound) {
    const Score score = scoreOf("open.txt", true);
    EXPECT_GE(score.precision(), 0.95);
    EXPECT_GE(score.recall(), 0.95);
}

TEST(Corpus, WhatWasSetAsideIsFound) {
    const Score score = scoreOf("aside.txt", std::getenv("DYNAMET_TELL_ASIDE") != nullptr);
    EXPECT_GE(score.precision(), 0.95);
    EXPECT_GE(score.recall(), 0.95);
}

TEST(Corpus, IsLargeEnough) {
    EXPECT_GE(corpusOf("open.txt").size() + corpusOf("aside.txt").size(), 200u);
    EXPECT_EQ(corpusOf("aside.txt").size(), 60u);
}

} // namespace
} // namespace dynamet::recipe_text
