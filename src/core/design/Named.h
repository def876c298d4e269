// src/core/design/Named.h - a catalogue entry as somebody wrote it, with the id it was found under.
#pragma once
#include <concepts>
#include <string>
#include <string_view>
#include <utility>

namespace anodex::design {

struct Named {
    std::string written; ///< As it was typed, or the name of a formula typed; empty: none.
    /// Of the entry; of a hydrate the substance's with the hydrate's formula behind a slash. Empty: not looked
    /// up yet, so what was written decides. Otherwise it alone decides, whatever entries are called by now.
    std::string id;

    Named() = default;
    /// As typed.
    Named(std::string typed) : written(std::move(typed)) {}
    Named(const char* typed) : written(typed) {}
    Named(std::string typed, std::string foundUnder) : written(std::move(typed)), id(std::move(foundUnder)) {}

    bool operator==(const Named&) const = default;
    template <std::convertible_to<std::string_view> Text> bool operator==(const Text& typed) const {
        return written == std::string_view(typed);
    }

    [[nodiscard]] bool empty() const { return written.empty() && id.empty(); }
};

} // namespace anodex::design
