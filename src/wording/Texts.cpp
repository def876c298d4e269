#include "wording/Texts.h"

#include "formats/EmbeddedData.h"

#include <algorithm>
#include <map>
#include <mutex>
#include <nlohmann/json.hpp>
#include <stdexcept>
#include <unicode/msgfmt.h>

namespace anodex::wording {
namespace {

using base::Said;
using icu::UnicodeString;

constexpr const char* kSource = "en";
constexpr const char* kListSeparator = " · ";

/// Letters the pseudo-language puts in the place of plain ones: marked, but read by the same fonts.
constexpr std::pair<char, const char*> kMarked[] = {{'a', "á"}, {'e', "é"}, {'i', "í"}, {'o', "ó"},
                                                    {'u', "ú"}, {'y', "ý"}, {'A', "Á"}, {'E', "É"},
                                                    {'I', "Í"}, {'O', "Ó"}, {'U', "Ú"}, {'n', "ñ"}};

std::string marked(char letter) {
    for (const auto& [plain, other] : kMarked) {
        if (letter == plain) {
            return other;
        }
    }
    return std::string(1, letter);
}

/// How many characters at `at` are no words: a place for a value (%1, %n), a tag, a pattern of file names.
std::size_t syntaxAt(const std::string& pattern, std::size_t at) {
    const auto upTo = [&](char end) {
        const std::size_t last = pattern.find(end, at);
        return last == std::string::npos ? 0 : last - at + 1;
    };
    switch (pattern[at]) {
    case '%':
        return at + 1 < pattern.size() ? 2 : 0;
    case '<':
        return upTo('>');
    case '(':
        return pattern.compare(at, 2, "(*") == 0 ? upTo(')') : 0;
    default:
        return 0;
    }
}

/// Marks the text of a pattern and leaves its syntax; longer by two letters in five.
std::string pseudo(const std::string& pattern) {
    std::string result;
    int depth = 0;
    int letters = 0;
    const auto pad = [&] {
        constexpr int kWord = 6; // so that it wraps as words do
        for (int i = 0; i < letters * 2 / 5; ++i) {
            result += i % kWord == kWord - 1 ? ' ' : '~';
        }
        letters = 0;
    };
    std::size_t kept = 0; // characters still to be left alone
    for (std::size_t i = 0; i < pattern.size(); ++i) {
        const char c = pattern[i];
        const bool text = depth % 2 == 0; // odd depths hold names, "plural" and the like
        kept = std::max(kept, text ? syntaxAt(pattern, i) : 0);
        if (kept > 0) {
            --kept;
            result += c;
        } else if (c == '{' || c == '}') {
            if (text) {
                pad();
            }
            depth += c == '{' ? 1 : -1;
            result += c;
        } else if (text) {
            ++letters;
            result += marked(c);
        } else {
            result += c;
        }
    }
    pad();
    return result;
}

UnicodeString wide(const std::string& utf8) {
    return UnicodeString::fromUTF8(utf8);
}

using Patterns = std::map<std::string, std::string>;

/// Nested objects are one id, joined by dots.
void flatten(const nlohmann::json& table, const std::string& above, Patterns& patterns) {
    for (const auto& [key, value] : table.items()) {
        std::string id = above;
        id += above.empty() ? "" : ".";
        id += key;
        if (value.is_object()) {
            flatten(value, id, patterns);
        } else if (!patterns.emplace(id, value.get<std::string>()).second) {
            throw std::logic_error("data/texts: the id " + id + " is there twice");
        }
    }
}

/// Of all files below data/texts/`language`.
Patterns patternsOf(const std::string& language) {
    Patterns patterns;
    const std::string folder = "texts/" + language + "/";
    for (const formats::EmbeddedFile& file : formats::embeddedFiles()) {
        if (file.name.substr(0, folder.size()) != folder) {
            continue;
        }
        const nlohmann::json table = nlohmann::json::parse(file.content);
        flatten(table, {}, patterns);
    }
    return patterns;
}

std::unique_ptr<Texts>& chosen() {
    static std::unique_ptr<Texts> texts;
    return texts;
}

} // namespace

struct Texts::Table {
    std::string language;
    Patterns patterns;
    icu::Locale locale;
    bool isPseudo = false;
    std::mutex mutex; ///< A formatter keeps notes while it formats.
    std::map<std::string, std::unique_ptr<icu::MessageFormat>> ready;

    icu::MessageFormat& formatOf(const std::string& id, const std::string& pattern) {
        std::unique_ptr<icu::MessageFormat>& format = ready[id];
        if (!format) {
            UErrorCode status = U_ZERO_ERROR;
            format = std::make_unique<icu::MessageFormat>(wide(pattern), locale, status);
            if (U_FAILURE(status)) {
                throw std::logic_error("data/texts: the pattern of " + id + " does not read");
            }
        }
        return *format;
    }
};

Texts::Texts(std::unique_ptr<Table> table) : m_table(std::move(table)) {}
Texts::~Texts() = default;

std::unique_ptr<Texts> Texts::load(const std::string& language) {
    const bool isPseudo = language == kPseudo;
    auto table = std::make_unique<Table>();
    table->language = isPseudo ? kSource : language;
    table->patterns = patternsOf(table->language);
    if (table->patterns.empty()) {
        return nullptr;
    }
    table->locale = icu::Locale(table->language.c_str());
    table->isPseudo = isPseudo;
    if (isPseudo) {
        for (auto& [id, pattern] : table->patterns) {
            pattern = pseudo(pattern);
        }
    }
    return std::unique_ptr<Texts>(new Texts(std::move(table)));
}

bool Texts::use(const std::string& language) {
    auto loaded = load(language);
    if (!loaded) {
        return false;
    }
    chosen() = std::move(loaded);
    return true;
}

void Texts::useOfDesktop() {
    const char* asked = std::getenv("ANODEX_LANGUAGE"); // NOLINT(concurrency-mt-unsafe): before any thread
    const icu::Locale locale = icu::Locale::getDefault();
    const std::string wanted = asked != nullptr ? asked : locale.getName();
    if (!use(wanted)) {
        use(wanted.substr(0, wanted.find('_')));
    }
}

const Texts& Texts::english() {
    static const std::unique_ptr<Texts> texts = load(kSource);
    return *texts;
}

const Texts& Texts::current() {
    return chosen() ? *chosen() : english();
}

bool Texts::has(const std::string& id) const {
    return m_table->patterns.count(id) > 0;
}

std::string Texts::pattern(const std::string& id) const {
    const auto found = m_table->patterns.find(id);
    return found == m_table->patterns.end() ? std::string() : found->second;
}

std::vector<std::string> Texts::ids() const {
    std::vector<std::string> all;
    for (const auto& [id, pattern] : m_table->patterns) {
        all.push_back(id);
    }
    return all;
}

const std::string& Texts::language() const {
    return m_table->language;
}

std::string Texts::text(const Said& said) const {
    // What a language lacks is told in English; what a newer version wrote, as it stands.
    const std::string known = has(said.id) ? pattern(said.id) : english().pattern(said.id);
    if (known.empty()) {
        return said.id;
    }
    std::vector<UnicodeString> names;
    std::vector<icu::Formattable> values;
    for (const auto& [name, value] : said.values) {
        names.push_back(wide(name));
        if (const auto* typed = std::get_if<std::string>(&value)) {
            values.emplace_back(wide(*typed));
        } else if (const auto* count = std::get_if<std::int64_t>(&value)) {
            values.emplace_back(*count);
        } else {
            std::string list;
            for (const Said& one : std::get<std::vector<Said>>(value)) {
                list += (list.empty() ? "" : kListSeparator) + text(one);
            }
            values.emplace_back(wide(list));
        }
    }
    const std::lock_guard guard(m_table->mutex);
    UErrorCode status = U_ZERO_ERROR;
    UnicodeString result;
    m_table->formatOf(said.id, known)
        .format(names.data(), values.data(), static_cast<int32_t>(names.size()), result, status);
    std::string utf8;
    return result.toUTF8String(utf8);
}

std::string Texts::textOr(const std::string& id, const std::string& english) const {
    if (has(id)) {
        return pattern(id);
    }
    return m_table->isPseudo ? pseudo(english) : english;
}

std::string text(const Said& said) {
    return Texts::current().text(said);
}

} // namespace anodex::wording
