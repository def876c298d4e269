// src/quantity/Letters.h - letters and digits as text from anywhere has them, whatever the locale.
#pragma once
#include <string>
#include <string_view>

namespace anodex::quantity {

[[nodiscard]] constexpr bool isDigit(char c) {
    return c >= '0' && c <= '9';
}
[[nodiscard]] constexpr bool isLetter(char c) {
    return (c >= 'a' && c <= 'z') || (c >= 'A' && c <= 'Z');
}

/// ASCII letters and the capital omega, by which ohms are written.
[[nodiscard]] std::string lowered(std::string_view text);

/// Bytes of the blank at `at`: 0 when none stands there. Ordinary, unbreakable, thin and narrow ones; tabs.
[[nodiscard]] std::size_t blankAt(std::string_view text, std::size_t at);

/// Bytes of the minus sign at `at`, of any kind; 0 when none stands there.
[[nodiscard]] std::size_t minusAt(std::string_view text, std::size_t at);

/// Without blanks and quotes at both ends.
[[nodiscard]] std::string_view trimmed(std::string_view text);

} // namespace anodex::quantity
