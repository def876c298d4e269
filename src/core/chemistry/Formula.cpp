#include "core/chemistry/Formula.h"

#include <charconv>
#include <optional>
#include <utility>

namespace anodex::chemistry {
namespace {

using Counts = std::map<std::string, double>;
using Code = FormulaError::Code;

bool isUpper(char c) {
    return c >= 'A' && c <= 'Z';
}
bool isLower(char c) {
    return c >= 'a' && c <= 'z';
}
bool isDigit(char c) {
    return c >= '0' && c <= '9';
}

class Reader {
public:
    explicit Reader(std::string_view text) : m_text(text) {}

    tl::expected<Formula, FormulaError> read() {
        Formula formula;
        takePhase(formula);
        if (auto error = takeCharge(formula)) {
            return tl::unexpected(*error);
        }
        if (m_text.empty()) {
            return tl::unexpected(FormulaError{Code::Empty, 0});
        }
        if (m_text == "e" && formula.charge == -1) {
            return formula;
        }
        while (true) {
            const double multiplier = m_position > 0 ? takeNumber() : 1.0;
            Counts part;
            if (auto error = takeGroup(part)) {
                return tl::unexpected(*error);
            }
            if (part.empty()) {
                return tl::unexpected(FormulaError{Code::UnexpectedCharacter, m_position});
            }
            for (const auto& [symbol, count] : part) {
                formula.elements[symbol] += multiplier * count;
            }
            if (m_position == m_text.size()) {
                return formula;
            }
            if (!takeHydrateDot()) {
                return tl::unexpected(FormulaError{Code::UnexpectedCharacter, m_position});
            }
        }
    }

private:
    void takePhase(Formula& formula) {
        constexpr std::pair<std::string_view, Phase> kPhases[] = {
            {"(s)", Phase::Solid}, {"(l)", Phase::Liquid}, {"(g)", Phase::Gas}, {"(aq)", Phase::Aqueous}};
        for (const auto& [suffix, phase] : kPhases) {
            if (m_text.ends_with(suffix)) {
                m_text.remove_suffix(suffix.size());
                formula.phase = phase;
                return;
            }
        }
    }

    std::optional<FormulaError> takeCharge(Formula& formula) {
        if (m_text.empty() || (m_text.back() != '+' && m_text.back() != '-')) {
            return std::nullopt;
        }
        const int sign = m_text.back() == '+' ? 1 : -1;
        m_text.remove_suffix(1);
        int magnitude = 1;
        const std::size_t caret = m_text.find('^');
        if (caret != std::string_view::npos) {
            const std::string_view digits = m_text.substr(caret + 1);
            const auto [end, problem] =
                std::from_chars(digits.data(), digits.data() + digits.size(), magnitude);
            if (!digits.empty() && (problem != std::errc{} || end != digits.data() + digits.size())) {
                return FormulaError{Code::BadCharge, caret + 1};
            }
            m_text = m_text.substr(0, caret);
        } else if (isSingleSymbolWithDigits()) {
            const std::size_t digits = m_text.find_first_of("0123456789");
            std::from_chars(m_text.data() + digits, m_text.data() + m_text.size(), magnitude);
            m_text = m_text.substr(0, digits);
        }
        if (magnitude < 1 || magnitude > 9) {
            return FormulaError{Code::BadCharge, m_text.size()};
        }
        formula.charge = sign * magnitude;
        return std::nullopt;
    }

    [[nodiscard]] bool isSingleSymbolWithDigits() const {
        std::size_t index = 0;
        if (m_text.empty() || !isUpper(m_text[index])) {
            return false;
        }
        ++index;
        if (index < m_text.size() && isLower(m_text[index])) {
            ++index;
        }
        return index < m_text.size() &&
               m_text.find_first_not_of("0123456789", index) == std::string_view::npos;
    }

    bool takeHydrateDot() {
        for (const std::string_view dot : {"\u00B7", "\u2022", "\u22C5", "*", "."}) {
            if (m_text.substr(m_position).starts_with(dot)) {
                m_position += dot.size();
                return true;
            }
        }
        return false;
    }

    double takeNumber() {
        double value = 1.0;
        const char* begin = m_text.data() + m_position;
        const char* end = begin;
        const char* last = m_text.data() + m_text.size();
        while (end != last && isDigit(*end)) {
            ++end;
        }
        if (end != begin) {
            std::from_chars(begin, end, value);
            m_position += static_cast<std::size_t>(end - begin);
        }
        return value;
    }

    std::optional<FormulaError> takeGroup(Counts& counts) {
        while (m_position < m_text.size()) {
            const char c = m_text[m_position];
            if (c == '(') {
                const std::size_t opened = m_position++;
                Counts inner;
                if (auto error = takeGroup(inner)) {
                    return error;
                }
                if (m_position >= m_text.size() || m_text[m_position] != ')') {
                    return FormulaError{Code::UnclosedBracket, opened};
                }
                ++m_position;
                const double times = takeNumber();
                for (const auto& [symbol, count] : inner) {
                    counts[symbol] += times * count;
                }
            } else if (isUpper(c)) {
                std::string symbol(1, c);
                ++m_position;
                while (m_position < m_text.size() && isLower(m_text[m_position])) {
                    symbol += m_text[m_position++];
                }
                counts[symbol] += takeNumber();
            } else {
                return std::nullopt;
            }
        }
        return std::nullopt;
    }

    std::string_view m_text;
    std::size_t m_position = 0;
};

} // namespace

tl::expected<Formula, FormulaError> parseFormula(std::string_view text) {
    return Reader(text).read();
}

double molarMassKg(const Formula& formula, const std::map<std::string, double>& gramsPerMole) {
    double grams = 0.0;
    for (const auto& [symbol, count] : formula.elements) {
        const auto found = gramsPerMole.find(symbol);
        if (found == gramsPerMole.end()) {
            return 0.0;
        }
        grams += count * found->second;
    }
    return grams / 1000.0;
}

} // namespace anodex::chemistry
