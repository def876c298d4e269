// src/wording/Texts.h - every sentence of a language under its id, from data/texts.
//
// A pattern is one whole sentence in ICU's MessageFormat, with named values and plurals:
// "{count, plural, one {# reading} other {# readings}} over {time}".
//
// Threads    any; the language in use is set once, before the window opens.
#pragma once
#include "core/base/Said.h"
#include <memory>
#include <string>
#include <vector>

namespace anodex::wording {

class Texts {
public:
    /// A folder of data/texts, or kPseudo. False when there is none of that name; then nothing changes.
    static bool use(const std::string& language);
    /// That ANODEX_LANGUAGE names, or the user's locale with or without its country; else nothing changes.
    static void useOfDesktop();
    /// In use; English before use() was called.
    [[nodiscard]] static const Texts& current();
    /// For what machines read: it stays the same in every language.
    [[nodiscard]] static const Texts& english();

    [[nodiscard]] std::string text(const base::Said& said) const;
    /// For words that stand in data with a source of their own: the language's, where it has that id.
    [[nodiscard]] std::string textOr(const std::string& id, const std::string& english) const;
    [[nodiscard]] bool has(const std::string& id) const;
    /// The pattern itself; empty when there is none.
    [[nodiscard]] std::string pattern(const std::string& id) const;
    [[nodiscard]] std::vector<std::string> ids() const;
    /// Its folder below data/texts.
    [[nodiscard]] const std::string& language() const;

    ~Texts();

private:
    struct Table;
    explicit Texts(std::unique_ptr<Table> table);
    static std::unique_ptr<Texts> load(const std::string& language);

    std::unique_ptr<Table> m_table;
};

/// English with every letter marked and two in five words more: what is not changed by it is in no table.
inline constexpr const char* kPseudo = "pseudo";

/// In the language in use.
[[nodiscard]] std::string text(const base::Said& said);

} // namespace anodex::wording
