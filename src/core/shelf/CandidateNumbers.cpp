#include "core/shelf/CandidateNumbers.h"

#include <algorithm>
#include <tuple>
#include <utility>

namespace anodex::shelf {
namespace {

/// The pair of this number among 0 <= first < second < count.
std::pair<std::size_t, std::size_t> pairAt(std::size_t number, std::size_t count) {
    std::size_t first = 0;
    while (number >= count - 1 - first) {
        number -= count - 1 - first;
        ++first;
    }
    return {first, first + 1 + number};
}

std::size_t numberOf(std::size_t first, std::size_t second, std::size_t count) {
    return first * (2 * count - first - 1) / 2 + second - first - 1;
}

std::size_t positionOf(const std::vector<std::size_t>& all, std::size_t wanted) {
    return static_cast<std::size_t>(std::find(all.begin(), all.end(), wanted) - all.begin());
}

} // namespace

CandidateNumbers::CandidateNumbers(std::size_t electrodes, std::size_t pours, std::vector<std::size_t> strong,
                                   std::vector<std::size_t> open, std::vector<std::size_t> dividing)
    : m_electrodes(electrodes), m_pours(pours), m_strong(std::move(strong)), m_open(std::move(open)),
      m_dividing(std::move(dividing)) {
    const std::size_t count = m_strong.size();
    m_singles = pairs() * m_pours * (1 + m_open.size());
    m_doubles = pairs() * count * (count > 0 ? count - 1 : 0) * m_dividing.size();
}

std::size_t CandidateNumbers::pairs() const {
    return m_electrodes == 0 ? 0 : m_electrodes * (m_electrodes - 1) / 2;
}

Choice CandidateNumbers::choice(std::size_t index) const {
    Choice choice;
    std::tie(choice.first, choice.second) = pairAt(pairOf(index), m_electrodes);
    if (index < m_singles) {
        index /= pairs();
        choice.liquid = index % m_pours;
        const std::size_t between = index / m_pours;
        if (between > 0) {
            choice.separator = m_open[between - 1];
        }
        return choice;
    }
    index = (index - m_singles) / pairs();
    const std::size_t first = index % m_strong.size();
    index /= m_strong.size();
    const std::size_t others = m_strong.size() - 1;
    const std::size_t second = index % others;
    choice.liquid = m_strong[first];
    choice.otherLiquid = m_strong[second < first ? second : second + 1];
    choice.separator = m_dividing[index / others];
    return choice;
}

std::size_t CandidateNumbers::index(const Choice& choice) const {
    const std::size_t pair = numberOf(choice.first, choice.second, m_electrodes);
    if (!choice.otherLiquid) {
        const std::size_t between = choice.separator ? 1 + positionOf(m_open, *choice.separator) : 0;
        return pair + pairs() * (choice.liquid + m_pours * between);
    }
    const std::size_t first = positionOf(m_strong, choice.liquid);
    const std::size_t other = positionOf(m_strong, *choice.otherLiquid);
    const std::size_t second = other < first ? other : other - 1;
    const std::size_t between = positionOf(m_dividing, *choice.separator);
    return m_singles + pair +
           pairs() * (first + m_strong.size() * (second + (m_strong.size() - 1) * between));
}

std::size_t CandidateNumbers::liquidOf(std::size_t index) const {
    if (index < m_singles) {
        return index / pairs() % m_pours;
    }
    const std::size_t ordered = m_strong.size() * (m_strong.size() - 1);
    return m_pours + (index - m_singles) / pairs() % ordered;
}

} // namespace anodex::shelf
