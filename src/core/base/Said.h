// src/core/base/Said.h - something to tell, as a code with values; data/texts has its words in each language.
//
// What is stored or handed up is this, never a sentence, so that it can be told in whatever language is read.
#pragma once
#include <cstdint>
#include <map>
#include <string>
#include <utility>
#include <variant>
#include <vector>

namespace anodex::base {

struct Said;

/// Text that was typed or is a number with its unit; a count, which decides between singular and plural; other
/// things said, listed in order.
using SaidValue = std::variant<std::string, std::int64_t, std::vector<Said>>;

struct Said {
    std::string id; ///< In data/texts. An id that is not there is told as it stands.
    std::map<std::string, SaidValue> values;

    Said() = default;
    Said(std::string code, std::map<std::string, SaidValue> named = {})
        : id(std::move(code)), values(std::move(named)) {}
    Said(const char* code) : id(code) {}
    [[nodiscard]] bool empty() const { return id.empty(); }
    bool operator==(const Said&) const = default;
};

/// The id with its values where it names them, for ids that are English themselves: to be kept where no table of
/// texts is at hand.
[[nodiscard]] std::string plain(const Said& said);

} // namespace anodex::base
