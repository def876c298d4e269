// src/core/shelf/CandidateNumbers.h - the cells that a shelf allows, as numbers.
//
// Order      single liquids first: pair, then liquid, then what lies between; then two liquids: pair, first liquid,
//            second liquid, separator.
#pragma once
#include <cstddef>
#include <optional>
#include <vector>

namespace anodex::shelf {

struct Choice {
    std::size_t first = 0; ///< Electrode, and the liquid at it. first < second.
    std::size_t second = 0;
    std::size_t liquid = 0;
    std::optional<std::size_t> otherLiquid;
    std::optional<std::size_t> separator;
};

class CandidateNumbers {
public:
    CandidateNumbers() = default;
    /// `strong` of the pours may stand beside each other; `open` and `dividing` number separators.
    CandidateNumbers(std::size_t electrodes, std::size_t pours, std::vector<std::size_t> strong,
                     std::vector<std::size_t> open, std::vector<std::size_t> dividing);

    [[nodiscard]] std::size_t size() const { return m_singles + m_doubles; }
    [[nodiscard]] std::size_t electrodes() const { return m_electrodes; }
    [[nodiscard]] std::size_t pours() const { return m_pours; }
    [[nodiscard]] const std::vector<std::size_t>& strong() const { return m_strong; }
    [[nodiscard]] const std::vector<std::size_t>& dividing() const { return m_dividing; }
    [[nodiscard]] std::size_t pairs() const;

    [[nodiscard]] Choice choice(std::size_t index) const;
    /// The number of a choice made of what was given.
    [[nodiscard]] std::size_t index(const Choice& choice) const;
    [[nodiscard]] std::size_t pairOf(std::size_t index) const {
        return (index < m_singles ? index : index - m_singles) % pairs();
    }
    /// The same for all that differ in electrodes and separators alone.
    [[nodiscard]] std::size_t liquidOf(std::size_t index) const;

private:
    std::size_t m_electrodes = 0;
    std::size_t m_pours = 0;
    std::vector<std::size_t> m_strong;
    std::vector<std::size_t> m_open;
    std::vector<std::size_t> m_dividing;
    std::size_t m_singles = 0;
    std::size_t m_doubles = 0;
};

} // namespace anodex::shelf
