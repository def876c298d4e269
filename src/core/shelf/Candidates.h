// src/core/shelf/Candidates.h - every sensible cell that a shelf allows, numbered.
//
// Which      Each pair of different electrodes, in each liquid (ready-made, and each substance weak and
//            strong), with nothing between or with each separator that lets one liquid be; and for each
//            separator that keeps two liquids apart, in each two different strong or ready-made liquids
//            either way round. Which electrode is the negative is left to the evaluation.
// Counts     P = n(n-1)/2 pairs, L liquids, S strong or ready-made ones: P L (1 + open separators)
//            + P S (S-1) dividing separators.
// Amounts    100 mL, or two of 50 mL, or what there is; weak 0.5 mol/L, strong 3 mol/L or four fifths of what
//            dissolves, and never more than the shelf holds.
// Errors     create() names the first item the catalogue does not know; nothing throws.
#pragma once
#include "core/design/Cell.h"
#include "core/design/Resolve.h"
#include "core/shelf/CandidateNumbers.h"
#include "core/shelf/Shelf.h"
#include "core/state/Contents.h"

namespace anodex::shelf {

class Candidates {
public:
    [[nodiscard]] static tl::expected<Candidates, design::DesignError>
    create(const chemistry::Catalogue& catalogue, const Shelf& shelf);

    [[nodiscard]] std::size_t size() const { return m_numbers.size(); }
    [[nodiscard]] const CandidateNumbers& numbers() const { return m_numbers; }
    /// The design as it would be built; `swapped` trades the electrodes and their liquids.
    [[nodiscard]] design::CellDesign design(std::size_t index, bool swapped = false) const;
    /// Something on the shelf has a price.
    [[nodiscard]] bool priced() const { return m_priced; }
    /// What resolve() makes of that design, put together from parts that were solved once.
    [[nodiscard]] design::Cell cell(std::size_t index) const;
    /// Of that cell, one or two by Side.
    [[nodiscard]] std::vector<state::SharedLiquid> liquids(std::size_t index) const;
    /// Of all that goes into it, by share of the liquid used; absent when a part of it has no price.
    [[nodiscard]] std::optional<double> price(std::size_t index) const;

private:
    struct Pour {
        design::LiquidDesign design;
        std::optional<double> pricePerM3;
        bool weak = false;
    };

    Candidates() = default;
    void pour(const chemistry::Catalogue& catalogue);
    [[nodiscard]] std::optional<design::DesignError> solve(const chemistry::Catalogue& catalogue);
    [[nodiscard]] std::size_t substanceOf(std::size_t pour) const;
    [[nodiscard]] design::LiquidDesign liquid(std::size_t index, double volumeM3) const;
    [[nodiscard]] design::CellDesign design(const Choice& choice) const;

    Shelf m_shelf;
    std::vector<design::ElectrodeDesign> m_electrodes;
    std::vector<Pour> m_pours;
    std::vector<design::Electrode> m_solvedElectrodes;
    std::vector<state::SharedLiquid> m_whole;        ///< Each pour as the only liquid.
    std::vector<state::SharedLiquid> m_half;         ///< Each pour as one of two.
    std::vector<double> m_doubt;                     ///< Of each pour's strength.
    std::vector<std::optional<std::size_t>> m_ready; ///< The ready-made liquid that each pour is.
    std::vector<design::Cell> m_frames;              ///< By separator; the last has none.
    CandidateNumbers m_numbers;
    bool m_priced = false;
};

} // namespace anodex::shelf
