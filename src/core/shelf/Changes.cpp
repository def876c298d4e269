#include "core/shelf/Changes.h"

#include "core/base/Constants.h"
#include "core/base/Fault.h"
#include "core/design/Identify.h"
#include "core/design/Resolve.h"
#include "core/electrode/PorousLayer.h"

#include <algorithm>
#include <map>
#include <utility>

namespace anodex::shelf {
namespace {

using chemistry::Catalogue;
using chemistry::Material;
using design::CellDesign;
using design::ElectrodeDesign;
using design::Side;
using findings::Finding;

constexpr double kWorthSaying = 1.01;      // factor of gain
constexpr double kWarmerKelvin = 15.0;     // a warm place in the house
constexpr double kGoodContactsOhm = 0.010; // soldered or bolted (common practice, no source)
constexpr double kNarrowestGap = 2e-4;     // m, a sheet of paper
constexpr double kPowderShare = 0.1;       // of the electrode by mass (common practice, no source)

struct Judged {
    double figure = 0.0;
    std::vector<Finding> findings;
    design::Cell cell;
    std::size_t undissolved = 0; ///< Portions that did not all dissolve.
    double amps = 0.0;           ///< At steady power.
    double coulombs = 0.0;       ///< Expected.
    double volts = 0.0;          ///< Open circuit.
    std::size_t positiveReaction = 0;
};

std::size_t undissolvedIn(const state::Contents& contents) {
    std::size_t count = 0;
    for (const liquid::Solution& solution : contents.solutions) {
        count += solution.undissolved.size();
    }
    return count;
}

/// Nothing for what cannot be built, and for what the model cannot work out: neither is a suggestion.
std::optional<Judged> judge(const Catalogue& catalogue, const CellDesign& design, RankBy by) {
    try {
        auto cell = design::resolve(catalogue, design);
        if (!cell) {
            return std::nullopt;
        }
        const cell::Evaluation evaluation = cell::evaluate(catalogue, *cell, {0});
        return Judged{figureOf(catalogue, *cell, evaluation, by, std::nullopt),
                      findings::findingsFor(catalogue, *cell, evaluation),
                      std::move(*cell),
                      undissolvedIn(*evaluation.contents),
                      evaluation.settled.maximumPower.amps,
                      evaluation.capacity.firstCoulombs,
                      evaluation.openCircuitVolts,
                      evaluation.sides[1].couple.reaction};
    } catch (const base::Fault&) {
        return std::nullopt;
    }
}

bool sameFinding(const Finding& one, const Finding& other) {
    return one.code == other.code && one.rule == other.rule && one.part == other.part;
}

class Search {
public:
    Search(const Catalogue& catalogue, const CellDesign& design, const HelpOptions& options,
           std::stop_token stop)
        : m_catalogue(catalogue), m_design(design), m_options(options), m_stop(std::move(stop)) {
        for (std::size_t i = 0; i < catalogue.materials.size(); ++i) {
            if (isAtHand(i)) {
                m_atHand.push_back(i);
            }
        }
    }

    std::optional<std::vector<Change>> run() {
        m_start = judge(m_catalogue, m_design, m_options.by);
        if (!m_start) {
            return std::vector<Change>{};
        }
        for (const Side side : {Side::Negative, Side::Positive}) {
            sizes(side);
            strengths(side);
            air(side);
            company(side);
            others(side);
        }
        surroundings();
        if (m_stop.stop_requested()) {
            return std::nullopt;
        }
        std::vector<Change> found;
        for (auto& [key, change] : m_best) {
            found.push_back(std::move(change));
        }
        std::stable_sort(found.begin(), found.end(),
                         [](const Change& one, const Change& other) { return one.after > other.after; });
        found.resize(std::min(m_options.top, found.size()));
        return found;
    }

private:
    void attempt(ChangeKind kind, Side side, CellDesign design) {
        if (m_stop.stop_requested() || design == m_design) {
            return;
        }
        auto judged = judge(m_catalogue, design, m_options.by);
        if (judged && kind == ChangeKind::Powder) {
            overAnHour(*judged);
        }
        if (judged && kind == ChangeKind::Material && isAnotherCell(*judged)) {
            return;
        }
        // A change that helps nothing, or that leaves more on the bottom of the jar.
        if (!judged || judged->figure < kWorthSaying * m_start->figure || judged->figure <= m_start->figure ||
            judged->undissolved > m_start->undissolved) {
            return;
        }
        const auto key = std::pair(kind, side);
        const auto known = m_best.find(key);
        if (known != m_best.end() && known->second.after >= judged->figure) {
            return;
        }
        Change change{kind, std::move(design), m_start->figure, judged->figure, {}};
        for (const Finding& finding : judged->findings) {
            const bool had = std::any_of(m_start->findings.begin(), m_start->findings.end(),
                                         [&](const auto& f) { return sameFinding(f, finding); });
            // Another metal has to last in the liquid as well.
            const bool counts =
                finding.severity == findings::Severity::Danger ||
                (kind == ChangeKind::Material && finding.severity == findings::Severity::Warning);
            if (counts && !had && !change.danger) {
                change.danger = finding;
            }
        }
        if (!change.danger || m_options.riskyToo) {
            m_best.insert_or_assign(key, std::move(change));
        }
    }

    /// Its voltage is far from what it was, or its positive lived on an ion that was poured in and would do so no longer.
    [[nodiscard]] bool isAnotherCell(const Judged& judged) const {
        constexpr double kMostLost = 0.15; // of the open circuit (common practice, no source)
        if (judged.volts < (1.0 - kMostLost) * m_start->volts) {
            return true;
        }
        const auto& terms = m_catalogue.reactions[m_start->positiveReaction].terms;
        const bool poured = std::any_of(terms.begin(), terms.end(), [&](const chemistry::SpeciesTerm& term) {
            return term.count < 0.0 && m_catalogue.species[term.species].isDissolved() &&
                   term.species != m_catalogue.key.hydrogenIon && term.species != m_catalogue.key.hydroxide;
        });
        return poured && judged.positiveReaction != m_start->positiveReaction;
    }

    [[nodiscard]] bool isCorrosive(std::size_t substance) const {
        const auto& hazards = m_catalogue.substances[substance].hazards;
        return std::any_of(hazards.begin(), hazards.end(),
                           [](const chemistry::Hazard& hazard) { return hazard.code == "H314"; });
    }

    /// On the builder's shelf, or in any kitchen or tool shop.
    [[nodiscard]] bool isAtHand(std::size_t material) const {
        const auto& classes = m_catalogue.materials[material].classes;
        const auto& owned = m_options.shelf.materials;
        return std::find(classes.begin(), classes.end(), "everyday") != classes.end() ||
               std::any_of(owned.begin(), owned.end(), [&](const OwnedMaterial& one) {
                   return design::findMaterial(m_catalogue, one.material) == material;
               });
    }

    /// What a powder adds counts for as much of an hour as its charge lasts.
    void overAnHour(Judged& judged) const {
        constexpr double kHour = 3600.0; // s
        if (judged.amps <= 0.0 || m_options.by == RankBy::Life || m_options.by == RankBy::Voltage) {
            return;
        }
        const double share = std::min(1.0, judged.coulombs / (judged.amps * kHour));
        judged.figure = m_start->figure + share * (judged.figure - m_start->figure);
    }

    template <typename Alter> void attempt(ChangeKind kind, Side side, const Alter& alter) {
        CellDesign design = m_design;
        alter(design);
        attempt(kind, side, std::move(design));
    }

    void sizes(Side side) {
        for (const double factor : {2.0, 0.5}) {
            attempt(ChangeKind::Area, side, [&](CellDesign& design) {
                ElectrodeDesign& electrode = design.electrode(side);
                electrode.wettedAreaM2 *= factor;
                for (std::optional<double>* mass : {&electrode.massKg, &electrode.measuredMassKg}) {
                    if (*mass) {
                        **mass *= factor;
                    }
                }
            });
            attempt(ChangeKind::Thickness, side, [&](CellDesign& design) {
                ElectrodeDesign& electrode = design.electrode(side);
                electrode.thicknessMetres = factor * m_start->cell.electrode(side).thicknessMetres;
                electrode.massKg.reset();
                electrode.measuredMassKg.reset();
            });
        }
    }

    void strengths(Side side) {
        if (side == Side::Positive && !m_design.positiveLiquid) {
            return;
        }
        const std::size_t count = m_design.liquidAt(side).solutes.size();
        for (std::size_t i = 0; i < count; ++i) {
            for (const double factor : {2.0, 0.5}) {
                CellDesign design = m_design;
                design::Amount& amount = design.liquidAt(side).solutes[i].amount;
                const bool tooMuch =
                    amount.unit == design::AmountUnit::MassFraction && amount.value * factor > 0.6;
                const auto substance =
                    design::findSubstance(m_catalogue, m_design.liquidAt(side).solutes[i].substance);
                const bool burns = factor > 1.0 && substance && isCorrosive(substance->substance);
                if (tooMuch || (burns && !m_options.riskyToo)) {
                    continue;
                }
                amount.value *= factor;
                attempt(ChangeKind::Strength, side, std::move(design));
            }
        }
    }

    [[nodiscard]] const Material& body(Side side) const {
        return m_catalogue.materials[m_start->cell.electrode(side).material];
    }

    void air(Side side) {
        if (electrode::breathesByNature(body(side))) {
            attempt(ChangeKind::Air, side, [&](CellDesign& design) {
                design.electrode(side).air = design::Air::Breathing;
                design.electrode(side).openShare.reset();
                design.electrode(side).filledPores.reset();
            });
        }
    }

    /// What lies behind a porous electrode, and what is mixed into it.
    void company(Side side) {
        if (body(side).porosity <= 0.0) {
            return;
        }
        for (const std::size_t index : m_atHand) {
            const Material& material = m_catalogue.materials[index];
            if (material.wettedShareAsCollector > 0.0 && !m_design.electrode(side).collector) {
                attempt(ChangeKind::Collector, side, [&](CellDesign& design) {
                    design.electrode(side).collector = design::CollectorDesign{design::namedAs(material), {}};
                });
            }
            if (material.specificAreaM2PerKg > 0.0 && m_design.electrode(side).additives.empty()) {
                attempt(ChangeKind::Powder, side, [&](CellDesign& design) {
                    design.electrode(side).additives = {
                        {design::namedAs(material), kPowderShare * m_start->cell.electrode(side).massKg}};
                });
            }
        }
    }

    void others(Side side) {
        for (const std::size_t index : m_atHand) {
            const Material& material = m_catalogue.materials[index];
            if (material.name == body(side).name) {
                continue;
            }
            attempt(ChangeKind::Material, side, [&](CellDesign& design) {
                ElectrodeDesign& electrode = design.electrode(side);
                design::makeOf(electrode, design::namedAs(material));
                if (electrode::breathesByNature(material)) {
                    electrode.air = design::Air::Breathing;
                }
            });
        }
    }

    void surroundings() {
        attempt(ChangeKind::Gap, Side::Negative, [&](CellDesign& design) {
            const double layer = m_start->cell.barrier ? m_start->cell.barrier->thicknessMetres : 0.0;
            design.gapMetres = std::max({0.5 * m_start->cell.gapMetres, layer, kNarrowestGap});
        });
        attempt(ChangeKind::Contacts, Side::Negative, [&](CellDesign& design) {
            design.contactOhm = std::min(kGoodContactsOhm, m_start->cell.contactOhm);
        });
        attempt(ChangeKind::Warmth, Side::Negative, [&](CellDesign& design) {
            design.temperatureKelvin =
                std::min(m_start->cell.temperatureKelvin + kWarmerKelvin, design::kHottestKelvin);
        });
        attempt(ChangeKind::Stirring, Side::Negative, [&](CellDesign& design) { design.stirred = true; });
    }

    const Catalogue& m_catalogue;
    const CellDesign& m_design;
    const HelpOptions& m_options;
    std::vector<std::size_t> m_atHand; ///< Materials.
    std::stop_token m_stop;
    std::optional<Judged> m_start;
    std::map<std::pair<ChangeKind, Side>, Change> m_best;
};

} // namespace

std::optional<std::vector<Change>> helpfulChanges(const Catalogue& catalogue, const CellDesign& design,
                                                  const HelpOptions& options, std::stop_token stop) {
    return Search(catalogue, design, options, std::move(stop)).run();
}

} // namespace anodex::shelf
