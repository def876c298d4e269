#include "core/findings/Findings.h"

#include "core/charge/Capacitor.h"
#include "core/electrode/PorousLayer.h"
#include "core/findings/RuleFindings.h"
#include "core/findings/UseFindings.h"

#include <algorithm>
#include <cmath>
#include <iterator>
#include <limits>
#include <utility>

namespace anodex::findings {
namespace {

using cell::Evaluation;
using cell::ResistancePart;
using chemistry::Catalogue;
using design::Air;
using design::Cell;
using design::Electrode;
using design::Side;

constexpr double kHydrogenWorthSaying = 1e-6 / 3600.0; // m³/s: 1 mL per hour
constexpr double kHydrogenWorthCare = 20e-6 / 3600.0;  // m³/s: fills a jar's head in hours (estimate)
constexpr double kMuchHydrogen = 1e-3 / 3600.0;        // m³/s: burns above the jar itself (estimate)
constexpr double kRingsOffAmps = 10.0;                 // heats a ring or a tool (common practice, no source)
constexpr double kFewCarriers = 2e-3;        // S/m: below this a meter's own current drags the voltage down
constexpr double kStrongAcidPh = 1.0;        // where splashes burn (common practice, no source)
constexpr double kStrongAlkaliPh = 13.0;     // the same
constexpr double kShortCoatSeconds = 3600.0; // of its coat at maximum power (common practice, no source)
constexpr double kFewHoles = 0.01;           // share of a face that is open (common practice, no source)
constexpr double kPlatingWorthSaying = 0.1;  // A/m²
constexpr double kLeastApart = 10.0;         // kg/m³: a knock mixes less (common practice, no source)

/// Among equals what poisons, explodes or spits stands before what burns, and that before what only warms. (Of notes the
/// first is that there is hardly a cell at all.)
std::ptrdiff_t harmRank(const Finding& finding) {
    constexpr FindingCode kWorstFirst[] = {
        FindingCode::RestAlike,       FindingCode::HardlyAnyCurrent, FindingCode::Rule,
        FindingCode::ChargeBackwards, FindingCode::ClosedGas,        FindingCode::GasInHeadSpace,
        FindingCode::GasInBox,        FindingCode::GasInRoom,        FindingCode::NearFlame,
        FindingCode::HalogenOnCharge, FindingCode::AcidBesideAlkali, FindingCode::RunsHot,
        FindingCode::HighVoltage,     FindingCode::CorrosiveLiquid,  FindingCode::HydrogenGas,
        FindingCode::HighShortCircuit};
    return std::find(std::begin(kWorstFirst), std::end(kWorstFirst), finding.code) - std::begin(kWorstFirst);
}

class Finder {
public:
    Finder(const Catalogue& catalogue, const Cell& cell, const Evaluation& evaluation)
        : m_catalogue(catalogue), m_cell(cell), m_evaluation(evaluation) {}

    std::vector<Finding> run() {
        dangers();
        mistakes();
        wearAndWaste();
        liquids();
        const std::optional<charge::Charging> asked =
            m_cell.charge ? std::optional(charging()) : std::nullopt;
        take(useFindings(m_catalogue, m_cell, m_evaluation, asked));
        take(ruleFindings(m_catalogue, m_cell, m_evaluation, asked));
        take(foodFindings(m_catalogue, m_cell));
        std::stable_sort(m_findings.begin(), m_findings.end(), [](const Finding& a, const Finding& b) {
            return std::pair(a.severity, harmRank(a)) < std::pair(b.severity, harmRank(b));
        });
        return std::move(m_findings);
    }

private:
    /// Worked out when it is first asked for.
    [[nodiscard]] const charge::Charging& charging() const {
        if (!m_charging) {
            m_charging = charge::chargingOf(m_catalogue, m_cell, m_evaluation);
        }
        return *m_charging;
    }

    void add(FindingCode code, Severity severity, FindingPart part, std::vector<std::string> names = {},
             double value = 0.0) {
        m_findings.push_back({code, severity, part, std::move(names), value, {}});
    }

    void take(std::vector<Finding> others) {
        m_findings.insert(m_findings.end(), std::make_move_iterator(others.begin()),
                          std::make_move_iterator(others.end()));
    }

    /// One finding for all that it concerns.
    void addName(FindingCode code, Severity severity, FindingPart part, const std::string& name) {
        for (Finding& finding : m_findings) {
            if (finding.code == code) {
                if (std::find(finding.names.begin(), finding.names.end(), name) == finding.names.end()) {
                    finding.names.push_back(name);
                }
                return;
            }
        }
        add(code, severity, part, {name});
    }

    [[nodiscard]] const std::string& nameOf(Side side) const {
        return m_catalogue.materials[m_cell.electrode(side).material].name;
    }

    [[nodiscard]] Severity hydrogenSeverity() const {
        const double rate = m_evaluation.hydrogenM3PerSecond;
        return rate > kMuchHydrogen ? Severity::Danger
                                    : (rate > kHydrogenWorthCare ? Severity::Warning : Severity::Note);
    }

    void dangers() {
        if (m_evaluation.hydrogenM3PerSecond > kHydrogenWorthSaying) {
            const Side side = m_evaluation.sides[0].hydrogenAmps >= m_evaluation.sides[1].hydrogenAmps
                                  ? Side::Negative
                                  : Side::Positive;
            add(FindingCode::HydrogenGas, hydrogenSeverity(), partOf(side), {nameOf(side)},
                m_evaluation.hydrogenM3PerSecond);
            const bool airless =
                m_cell.electrodes[0].air == Air::None && m_cell.electrodes[1].air == Air::None;
            if (airless || m_cell.closed) {
                add(FindingCode::ClosedGas, Severity::Danger, FindingPart::Whole, {nameOf(side)},
                    m_evaluation.hydrogenM3PerSecond);
            }
        }
        const auto [sour, bitter] =
            std::minmax(m_evaluation.solution(Side::Negative).pH, m_evaluation.solution(Side::Positive).pH);
        if (sour < kStrongAcidPh && bitter > kStrongAlkaliPh) {
            add(FindingCode::AcidBesideAlkali, Severity::Danger, FindingPart::Separator);
        }
        const double shortAmps = std::abs(m_evaluation.first.shortCircuitAmps) * m_cell.string.parallel;
        if (shortAmps > kRingsOffAmps) {
            add(FindingCode::HighShortCircuit, Severity::Danger, FindingPart::Whole, {}, shortAmps);
        }
        for (const Side side : {Side::Negative, Side::Positive}) {
            if (!m_catalogue.materials[m_cell.electrode(side).material].hazards.empty()) {
                addName(FindingCode::HazardousMaterial, Severity::Warning, partOf(side), nameOf(side));
            }
        }
        if (m_cell.caseMaterial) {
            const chemistry::CaseMaterial& material = m_catalogue.cases[*m_cell.caseMaterial];
            const auto [low, high] = std::minmax(m_evaluation.solution(Side::Negative).pH,
                                                 m_evaluation.solution(Side::Positive).pH);
            if (low < material.lowestPh || high > material.highestPh) {
                add(FindingCode::CaseAttacked, Severity::Warning, FindingPart::Case, {material.name});
            }
        }
    }

    void mistakes() {
        const Electrode& negative = m_cell.electrodes[0];
        const Electrode& positive = m_cell.electrodes[1];
        // Two alike that still wait for their first charge differ by chance alone.
        constexpr double kByChance = 0.05; // V
        const bool alike = negative.material == positive.material;
        if (m_evaluation.openCircuitVolts < -(alike ? kByChance : kRestAlikeVolts)) {
            add(FindingCode::PolarityReversed, Severity::Warning, FindingPart::Whole,
                {nameOf(Side::Negative)});
        }
        if (const double coulombs = formedCoulombs(); coulombs > 0.0) {
            add(FindingCode::NeedsForming, Severity::Note, FindingPart::Whole, {nameOf(Side::Positive)},
                coulombs);
        } else if (isSameOnBothSides(m_cell)) {
            add(FindingCode::SameMaterial, Severity::Note, FindingPart::Whole, {nameOf(Side::Negative)});
        }
        storesAsCapacitor();
        for (const Side side : {Side::Negative, Side::Positive}) {
            if (const auto other = m_evaluation.side(side).otherRestVolts) {
                std::vector<std::string> names = {nameOf(side)};
                if (const auto& collector = m_cell.electrode(side).collector) {
                    names.push_back(m_catalogue.materials[*collector].name);
                }
                add(FindingCode::FilmUndecided, Severity::Note, partOf(side), std::move(names), *other);
            }
        }
        const bool divided = m_cell.barrier && m_catalogue.separators[m_cell.barrier->separator].divides;
        if (m_cell.twoLiquids && !divided) {
            add(FindingCode::OpenJunction, Severity::Warning, FindingPart::Separator);
        }
        layersMix();
        strayed();
        double volume = m_evaluation.solution(Side::Negative).volumeM3;
        if (m_cell.twoLiquids) {
            volume += m_evaluation.solution(Side::Positive).volumeM3;
        }
        const double needed = design::currentArea(m_cell) * m_cell.gapMetres;
        if (volume < needed) {
            add(FindingCode::TooLittleLiquid, Severity::Warning, FindingPart::Electrolyte, {},
                needed - volume);
        }
        if (m_cell.barrier && m_cell.barrier->pressed) {
            add(FindingCode::PressedSeparator, Severity::Note, FindingPart::Separator,
                {m_catalogue.separators[m_cell.barrier->separator].name});
        }
    }

    void wearAndWaste() {
        for (const Side side : {Side::Negative, Side::Positive}) {
            coatWearsThrough(side);
            collectorWastes(side);
            starvedOfAir(side);
            filmAlone(side);
        }
        platesOnNegative();
    }

    /// A thin coat lasts as long as its charge at the current of best power.
    void coatWearsThrough(Side side) {
        const auto& plating = m_catalogue.materials[m_cell.electrode(side).material].plating;
        if (!plating) {
            return;
        }
        for (const cell::Reagent& reagent : m_evaluation.capacity.reagents) {
            const double amps =
                m_evaluation.settled.maximumPower.amps + m_evaluation.side(side).corrosionAmps;
            if (reagent.species == plating->species && reagent.side == side && amps > 0.0 &&
                reagent.expectedCoulombs / amps < kShortCoatSeconds) {
                add(FindingCode::CoatWearsThrough, Severity::Warning, partOf(side), {nameOf(side)},
                    reagent.expectedCoulombs / amps);
            }
        }
    }

    /// A nobler metal behind a wet electrode is a cell of its own, shorted.
    void collectorWastes(Side side) {
        constexpr double kMostOfIt = 0.5;              // of the corrosion
        constexpr double kSoonEaten = 3.0 * 24 * 3600; // s (common practice, no source)
        const cell::SideResult& result = m_evaluation.side(side);
        if (result.collectorAmps <= 0.0 || result.collectorAmps < kMostOfIt * result.corrosionAmps) {
            return;
        }
        const std::string& collector = m_catalogue.materials[*m_cell.electrode(side).collector].name;
        for (const cell::Reagent& reagent : m_evaluation.capacity.reagents) {
            const bool own = reagent.side == side &&
                             m_catalogue.species[reagent.species].formula.phase == chemistry::Phase::Solid;
            if (own && reagent.expectedCoulombs < kSoonEaten * result.collectorAmps) {
                add(FindingCode::CollectorWastes, Severity::Warning, FindingPart::Collector,
                    {collector, nameOf(side)}, result.collectorAmps);
                return;
            }
        }
    }

    void starvedOfAir(Side side) {
        const Electrode& electrode = m_cell.electrode(side);
        const chemistry::Material& material = m_catalogue.materials[electrode.material];
        const auto& terms = m_catalogue.reactions[m_evaluation.side(side).couple.reaction].terms;
        // Without air only water is left to reduce.
        const bool needsAir =
            std::any_of(terms.begin(), terms.end(), [&](const chemistry::SpeciesTerm& term) {
                return (term.species == m_catalogue.key.oxygenGas && term.count < 0.0) ||
                       (term.species == m_catalogue.key.hydrogenGas && term.count > 0.0);
            });
        const bool shut = electrode.air != Air::Breathing || electrode.openShare < kFewHoles;
        if (electrode::breathesByNature(material) && needsAir && shut &&
            m_evaluation.side(side).couple.branch == chemistry::Branch::Cathodic && !waitsForCharge(side)) {
            add(FindingCode::StarvedOfAir, Severity::Warning, partOf(side), {material.name});
        }
    }

    /// Built empty: its first charge makes the oxidant that this side lives on.
    [[nodiscard]] bool waitsForCharge(Side side) const {
        const auto& reactions = charging().gentle.reactions[static_cast<std::size_t>(side)];
        return charging().possible && !reactions.empty() && reactions.front().fate == charge::Fate::Stored;
    }

    /// A film that lets current through badly, with nothing behind it to gather the current.
    void filmAlone(Side side) {
        const Electrode& electrode = m_cell.electrode(side);
        const bool negative = side == Side::Negative;
        for (const cell::ResistanceShare& share : m_evaluation.resistance.shares) {
            const bool body =
                share.part == (negative ? ResistancePart::NegativeBody : ResistancePart::PositiveBody);
            const bool gathers = share.part == (negative ? ResistancePart::NegativeCollector
                                                         : ResistancePart::PositiveCollector);
            if (!body && !(gathers && electrode.collector)) {
                continue;
            }
            const auto& material = m_catalogue.materials[gathers ? *electrode.collector : electrode.material];
            if (material.throughOhmM2.value > 0.0 && share.ohm > 0.5 * m_evaluation.resistance.totalOhm) {
                add(FindingCode::FilmAlone, Severity::Warning,
                    gathers ? FindingPart::Collector : partOf(side), {material.name}, share.ohm);
            }
        }
    }

    /// Of plain sheets that only charging turns into plates, after the first charge; 0 where they are no such sheets.
    [[nodiscard]] double formedCoulombs() const {
        double coulombs = std::numeric_limits<double>::infinity();
        for (const Electrode& electrode : m_cell.electrodes) {
            coulombs = std::min(coulombs, electrode.areaM2 *
                                              m_catalogue.materials[electrode.material].formedCoulombsPerM2);
        }
        const bool empty = m_evaluation.capacity.expectedCoulombs == 0.0;
        return coulombs > 0.0 && empty && charging().possible ? coulombs : 0.0;
    }

    void storesAsCapacitor() {
        const auto capacitor = charge::capacitorOf(m_catalogue, m_cell, m_evaluation);
        constexpr double kWorthSaying = 0.36; // C: a tenth of a milliampere-hour
        if (capacitor && capacitor->coulombs > kWorthSaying && !charging().possible) {
            add(FindingCode::StoresAsCapacitor, Severity::Note, FindingPart::Whole, {}, capacitor->coulombs);
        }
    }

    void strayed() {
        const auto& layers = m_evaluation.contents->layers;
        for (const Side side : {Side::Negative, Side::Positive}) {
            if (layers && layers->strayed[static_cast<std::size_t>(side)]) {
                add(FindingCode::LiesInOtherLayer, Severity::Warning, partOf(side), {nameOf(side)});
            }
        }
    }

    /// Liquids that lie one on the other need a heavier one below; which that is, they settle themselves.
    void layersMix() {
        const bool stacked =
            m_cell.twoLiquids && m_cell.barrier && m_catalogue.separators[m_cell.barrier->separator].stacked;
        if (!stacked || m_evaluation.crossoverAmps <= 0.0) {
            return;
        }
        const double apart = std::abs(m_evaluation.solution(Side::Positive).densityKgPerM3 -
                                      m_evaluation.solution(Side::Negative).densityKgPerM3);
        if (apart < kLeastApart) {
            add(FindingCode::LayersMix, Severity::Warning, FindingPart::Separator);
        }
    }

    void platesOnNegative() {
        const double area = m_cell.electrode(Side::Negative).areaM2;
        for (const cell::CompetingReaction& entry : m_evaluation.side(Side::Negative).competing) {
            if (-entry.amps / area < kPlatingWorthSaying) {
                continue;
            }
            for (const chemistry::SpeciesTerm& term : m_catalogue.reactions[entry.reaction].terms) {
                const chemistry::Species& species = m_catalogue.species[term.species];
                const bool metal = term.count > 0.0 && species.formula.phase == chemistry::Phase::Solid;
                if (metal) {
                    add(FindingCode::PlatesOnNegative, Severity::Warning, FindingPart::Negative,
                        {nameOf(Side::Negative), species.name}, -entry.amps);
                }
            }
        }
    }

    void liquids() {
        for (const Side side : {Side::Negative, Side::Positive}) {
            if (side == Side::Positive && !m_cell.twoLiquids) {
                break;
            }
            const liquid::Solution& solution = m_evaluation.solution(side);
            if (solution.conductivity < kFewCarriers) {
                add(FindingCode::NoCarriers, Severity::Warning, FindingPart::Electrolyte);
            }
            for (const liquid::Undissolved& rest : solution.undissolved) {
                add(FindingCode::Undissolved, Severity::Warning, FindingPart::Electrolyte,
                    {m_catalogue.substances[rest.substance].name}, rest.kilograms);
            }
            for (const liquid::Precipitate& solid : solution.precipitates) {
                addPrecipitate(solid);
            }
            if (!solution.mixture.hasPhScale) {
                addOnce(FindingCode::NoPhScale);
            }
            if (solution.notes.beyondActivityRange || solution.notes.typicalInteractions) {
                addOnce(FindingCode::BeyondData);
            }
            if (solution.notes.estimatedConductivity) {
                addOnce(FindingCode::EstimatedConductivity);
            }
            labelHazards(solution);
        }
    }

    /// A substance that was poured in and stays is undissolved; anything else fell out of the mix.
    void addPrecipitate(const liquid::Precipitate& solid) {
        constexpr double kWorthSaying = 1e-5; // kg
        if (solid.kilograms < kWorthSaying) {
            return;
        }
        const auto substance = liquid::substanceOf(m_catalogue, solid.species);
        add(substance ? FindingCode::Undissolved : FindingCode::Precipitate,
            substance ? Severity::Warning : Severity::Note, FindingPart::Electrolyte,
            {substance ? m_catalogue.substances[*substance].name : m_catalogue.species[solid.species].name},
            solid.kilograms);
    }

    void addOnce(FindingCode code) {
        if (std::none_of(m_findings.begin(), m_findings.end(),
                         [&](const Finding& f) { return f.code == code; })) {
            add(code, Severity::Note, FindingPart::Electrolyte);
        }
    }

    /// What an acid or alkali was before the rest of the liquid took it up (GHS: extreme pH).
    [[nodiscard]] bool isNeutralised(const chemistry::Substance& substance, double pH) const {
        constexpr double kSour = 3.0;    // pH; in between neither burns (common practice, no source)
        constexpr double kBitter = 10.5; // the same
        double protons = 0.0;
        for (const chemistry::SpeciesTerm& term : substance.dissolvesTo) {
            const bool free = term.species == m_catalogue.key.hydrogenIon;
            protons += free ? term.count : m_catalogue.species[term.species].acidicProtons * term.count;
            protons -= term.species == m_catalogue.key.hydroxide ? term.count : 0.0;
        }
        return (protons > 0.0 && pH > kSour) || (protons < 0.0 && pH < kBitter);
    }

    /// By the limits of the label, so that a splash of lemonade is no burn.
    void labelHazards(const liquid::Solution& solution) {
        constexpr double kInjuresEyes = 0.03; // mass fraction: EC 1272/2008, annex I, table 3.3.3
        constexpr FindingPart kLiquid = FindingPart::Electrolyte;
        for (const liquid::Portion& portion : solution.mixture.portions) {
            const chemistry::Substance& substance = m_catalogue.substances[portion.substance];
            constexpr double kRounded = 1.001; // a limit that was just poured is reached
            const double share = kRounded * portion.moles * substance.molarMassKg /
                                 (solution.volumeM3 * solution.densityKgPerM3);
            const bool neutralised = isNeutralised(substance, solution.pH);
            for (const chemistry::Hazard& hazard : substance.hazards) {
                const bool burns = hazard.code == "H314" && !neutralised;
                if (burns && share >= hazard.fromShare) {
                    addName(FindingCode::CorrosiveLiquid, Severity::Danger, kLiquid, substance.name);
                } else if ((burns && share >= hazard.irritatesFromShare) ||
                           (hazard.code == "H318" && share >= kInjuresEyes)) {
                    addName(FindingCode::IrritatingLiquid, Severity::Note, kLiquid, substance.name);
                } else if (hazard.code == "H410") {
                    addName(FindingCode::HarmfulToWater, Severity::Note, kLiquid, substance.name);
                }
            }
        }
    }

    const Catalogue& m_catalogue;
    const Cell& m_cell;
    const Evaluation& m_evaluation;
    mutable std::optional<charge::Charging> m_charging;
    std::vector<Finding> m_findings;
};

} // namespace

std::vector<Finding> findingsFor(const Catalogue& catalogue, const Cell& cell, const Evaluation& evaluation) {
    return Finder(catalogue, cell, evaluation).run();
}

} // namespace anodex::findings
