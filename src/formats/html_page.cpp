// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "formats/html_page.h"

#include <libxml/HTMLparser.h>
#include <libxml/tree.h>
#include <memory>

namespace dynamet::formats {
namespace {

struct Free {
    void operator()(xmlDoc* document) const { xmlFreeDoc(document); }
};
using Page = std::unique_ptr<xmlDoc, Free>;

/// Nothing is fetched and nothing printed.
Page pageOf(const std::string& text) {
    return Page(htmlReadMemory(text.data(), static_cast<int>(text.size()), nullptr, "UTF-8",
                               HTML_PARSE_RECOVER | HTML_PARSE_NOERROR | HTML_PARSE_NOWARNING |
                                   HTML_PARSE_NONET));
}

std::string attribute(const xmlNode* node, const char* name) {
    if (node->type != XML_ELEMENT_NODE)
        return {};
    xmlChar* value = xmlGetProp(node, reinterpret_cast<const xmlChar*>(name));
    const std::string out = value ? reinterpret_cast<const char*>(value) : "";
    xmlFree(value);
    return out;
}

bool is(const xmlNode* node, const char* name) {
    return node->type == XML_ELEMENT_NODE &&
           xmlStrcasecmp(node->name, reinterpret_cast<const xmlChar*>(name)) == 0;
}

/// Every node under one, in the page's order, without recursion; `enter` false skips what is in it.
template <class Enter>
void walk(xmlNode* root, Enter enter) {
    for (xmlNode* at = root; at;) {
        if (enter(at) && at->children) {
            at = at->children;
            continue;
        }
        while (at != root && !at->next)
            at = at->parent;
        if (at == root)
            return;
        at = at->next;
    }
}

void addWord(std::string& out, const char* text) {
    for (; *text; ++text) {
        const bool space = *text == ' ' || *text == '\n' || *text == '\t' || *text == '\r';
        if (!space)
            out += *text;
        else if (!out.empty() && out.back() != ' ' && out.back() != '\n')
            out += ' ';
    }
}

std::string trimmed(std::string text) {
    while (!text.empty() && (text.back() == ' ' || text.back() == '\n'))
        text.pop_back();
    const auto first = text.find_first_not_of(" \n");
    return first == std::string::npos ? std::string() : text.substr(first);
}

/// The words under a node; what stands in lines of their own on the page does here.
std::string wordsUnder(xmlNode* node, bool lines) {
    std::string out;
    walk(node, [&](xmlNode* at) {
        if (is(at, "script") || is(at, "style"))
            return false;
        const bool block = is(at, "li") || is(at, "p") || is(at, "br") || is(at, "div") ||
                           is(at, "h2") || is(at, "h3") || is(at, "h4");
        if (block && lines && !out.empty() && out.back() != '\n') {
            out = trimmed(out) + "\n";
        } else if (block && !out.empty() && out.back() != ' ') {
            out += ' ';
        }
        if (at->type == XML_TEXT_NODE && at->content)
            addWord(out, reinterpret_cast<const char*>(at->content));
        return true;
    });
    return trimmed(out);
}

void readProperty(HtmlRecipe& out, xmlNode* node, const std::string& property) {
    if (property == "name" && out.name.empty())
        out.name = wordsUnder(node, false);
    else if (property == "author" && out.author.empty())
        out.author = wordsUnder(node, false);
    else if (property == "recipeIngredient" || property == "ingredients")
        out.ingredients += wordsUnder(node, false) + "\n";
    else if (property == "recipeInstructions")
        out.instructions += wordsUnder(node, true) + "\n";
    else if (property == "cookTime") {
        out.cookTime = attribute(node, "datetime");
        if (out.cookTime.empty())
            out.cookTime = attribute(node, "content");
    }
}

void readItem(HtmlRecipe& out, xmlNode* item) {
    out.microdata = true;
    walk(item, [&](xmlNode* at) {
        const std::string property = attribute(at, "itemprop");
        if (at == item || property.empty())
            return true;
        readProperty(out, at, property);
        return false; // what is in it is its own
    });
}

} // namespace

HtmlRecipe recipeInPage(const std::string& utf8) {
    HtmlRecipe out;
    const Page page = pageOf(utf8);
    xmlNode* root = page ? xmlDocGetRootElement(page.get()) : nullptr;
    if (!root)
        return out;
    walk(root, [&](xmlNode* at) {
        if (is(at, "script") && attribute(at, "type") == "application/ld+json") {
            xmlChar* content = xmlNodeGetContent(at);
            out.jsonLd.emplace_back(content ? reinterpret_cast<const char*>(content) : "");
            xmlFree(content);
            return false;
        }
        if (!out.microdata && attribute(at, "itemtype").ends_with("schema.org/Recipe"))
            readItem(out, at);
        return true;
    });
    return out;
}

std::string plainWords(const std::string& utf8) {
    if (utf8.find_first_of("<&") == std::string::npos) {
        std::string out;
        addWord(out, utf8.c_str());
        return trimmed(out);
    }
    const Page page = pageOf("<div>" + utf8 + "</div>");
    xmlNode* root = page ? xmlDocGetRootElement(page.get()) : nullptr;
    return root ? wordsUnder(root, false) : std::string();
}

} // namespace dynamet::formats
