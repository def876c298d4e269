#include "core/findings/UseFindings.h"

#include "core/base/Constants.h"

#include <algorithm>
#include <cmath>

namespace anodex::findings {
namespace {

using cell::Evaluation;
using cell::GasFlow;
using cell::Space;
using charge::Charging;
using chemistry::Catalogue;
using design::Cell;
using design::Side;

constexpr double kWorthSaying = 1e-6 / 3600.0 / cell::kGasM3PerMole; // mol/s: 1 mL of gas an hour
constexpr double kWarnVolts = 30.0;         // dry hands (common practice, no source; compare IEC 61140)
constexpr double kDangerVolts = 60.0;       // touch voltage of direct current (IEC 61140, from memory)
constexpr double kHotterByKelvin = 40.0;    // too hot to hold (common practice, no source)
constexpr double kHeatOfLiquid = 4180.0;    // J/(kg K)
constexpr double kSharedWorthSaying = 1e-4; // A
constexpr double kJustAbove = 1.02;         // of the rest voltage (common practice, no source)

class UseFinder {
public:
    UseFinder(const Catalogue& catalogue, const Cell& cell, const Evaluation& evaluation,
              const std::optional<Charging>& charging)
        : m_catalogue(catalogue), m_cell(cell), m_evaluation(evaluation), m_charging(charging) {}

    std::vector<Finding> run() {
        drives();
        runsHot();
        if (m_charging) {
            chargeSuits();
        }
        gasInAir();
        strings();
        return std::move(m_findings);
    }

private:
    void add(FindingCode code, Severity severity, FindingPart part, std::vector<std::string> names = {},
             double value = 0.0) {
        m_findings.push_back({code, severity, part, std::move(names), value, {}});
    }

    [[nodiscard]] const std::string& nameOf(Side side) const {
        return m_catalogue.materials[m_cell.electrode(side).material].name;
    }

    /// Where specimen and drift decide the sign, or nothing carries the voltage, no number stands for much.
    void drives() {
        constexpr double kHardlyAnyDensity = 0.01; // A/m² of a short circuit (common practice, no source)
        const auto& [negative, positive] = m_cell.electrodes;
        const double volts = std::abs(m_evaluation.openCircuitVolts);
        if (volts < kRestAlikeVolts && !isSameOnBothSides(m_cell)) {
            add(FindingCode::RestAlike, Severity::Note, FindingPart::Whole,
                {nameOf(Side::Negative), nameOf(Side::Positive)}, volts);
        }
        sways();
        const double amps = std::abs(m_evaluation.first.shortCircuitAmps);
        if (volts >= kRestAlikeVolts &&
            amps < kHardlyAnyDensity * std::min(negative.areaM2, positive.areaM2)) {
            add(FindingCode::HardlyAnyCurrent, Severity::Note, FindingPart::Whole, {}, amps);
        }
    }

    /// Where two currents that hardly follow the potential balance at rest, a little of either moves it far.
    void sways() {
        constexpr double kFar = 0.01; // V: most rests move by a quarter to a half of it (from the starters)
        for (const Side side : {Side::Negative, Side::Positive}) {
            const double volts = m_evaluation.side(side).restSwayVolts;
            if (volts > kFar) {
                add(FindingCode::RestSways, Severity::Note, partOf(side), {nameOf(side)}, volts);
            }
        }
    }

    /// What the heat at rest would warm a vessel by that sheds it to the room.
    [[nodiscard]] double warmsAtRest(const liquid::Solution& liquid) const {
        constexpr double kShed = 10.0; // W/(m² K), of a vessel in still air (from memory)
        constexpr double kFaces = 6.0; // of a cube
        return m_evaluation.heatAtRestWatts / (kShed * kFaces * std::pow(liquid.volumeM3, 2.0 / 3.0));
    }

    /// How much warmer the liquid would be if the metal ate itself up in it without losing heat, where it warms itself
    /// faster than it cools: ten kelvin nearly double what it gives.
    void runsHot() {
        for (const Side side : {Side::Negative, Side::Positive}) {
            const double amps = m_evaluation.side(side).corrosionAmps;
            double coulombs = 0.0;
            for (const cell::Reagent& reagent : m_evaluation.capacity.reagents) {
                const bool concerns = !reagent.side || *reagent.side == side;
                if (concerns && (coulombs == 0.0 || reagent.coulombs < coulombs)) {
                    coulombs = reagent.coulombs;
                }
            }
            const double both = m_evaluation.sides[0].corrosionAmps + m_evaluation.sides[1].corrosionAmps;
            const liquid::Solution& liquid = m_evaluation.solution(side);
            constexpr double kRunsAway = 8.0; // K
            if (amps < 0.5 * both || amps <= 0.0 || warmsAtRest(liquid) < kRunsAway) {
                continue;
            }
            const double kelvin = m_evaluation.heatAtRestWatts / both * coulombs /
                                  (liquid.volumeM3 * liquid.densityKgPerM3 * kHeatOfLiquid);
            if (kelvin > kHotterByKelvin) {
                add(FindingCode::RunsHot, Severity::Danger, partOf(side), {nameOf(side)}, kelvin);
            }
        }
    }

    void chargeSuits() {
        const charge::ChargeDetail& asked = *m_charging->asked;
        halogens(asked);
        if (asked.hydrogenAmps / (2.0 * base::kFaraday) > kWorthSaying) {
            add(FindingCode::GasOnCharge, Severity::Warning, FindingPart::Whole, {},
                cell::standardVentilation(asked.hydrogenAmps, m_cell.string.series * m_cell.string.parallel));
        }
        if (!m_charging->possible) {
            std::vector<std::string> instead;
            for (const auto& reactions : asked.reactions) {
                if (!reactions.empty() && reactions.front().amps > 0.0) {
                    instead.push_back(insteadOf(reactions.front(), &reactions == &asked.reactions[0]));
                }
            }
            add(FindingCode::ChargeImpossible, Severity::Danger, FindingPart::Whole, std::move(instead));
            return;
        }
        if (m_charging->reversed) {
            add(FindingCode::ChargeBackwards, Severity::Danger, FindingPart::Whole, {nameOf(Side::Negative)});
        }
        if (asked.point.amps <= 0.0 ||
            (m_cell.charge->volts && *m_cell.charge->volts < m_charging->least->volts)) {
            add(FindingCode::ChargeTooLow, Severity::Warning, FindingPart::Whole, {},
                m_charging->least->volts);
        }
        if (m_charging->best && asked.point.amps > kJustAbove * m_charging->best->amps) {
            add(FindingCode::ChargeTooFast, Severity::Warning, FindingPart::Whole, {},
                m_charging->best->amps);
        }
        const auto& stated = m_cell.charge->volts;
        if (stated && m_charging->best && *stated > highestVolts()) {
            add(FindingCode::ChargeTooHigh, Severity::Warning, FindingPart::Whole, {}, highestVolts());
        }
    }

    /// What poisons the air burns skin as well, and stays in the liquid afterwards.
    void halogens(const charge::ChargeDetail& asked) {
        constexpr double kGramAnHour = 1e-3 / 3600.0; // kg/s
        for (const GasFlow& flow : asked.gas) {
            const chemistry::Species& species = m_catalogue.species[flow.species];
            const double kgPerSecond = flow.molesPerSecond * species.molarMassKg;
            if (species.airLimit && !species.airLimit->burns && kgPerSecond > 0.01 * kGramAnHour) {
                add(FindingCode::HalogenOnCharge, Severity::Warning, FindingPart::Positive,
                    {species.airLimit->name}, kgPerSecond);
            }
        }
    }

    /// A supply may be set to what the cell shows at its fastest charge, or a little more once it is full.
    [[nodiscard]] double highestVolts() const {
        return std::max(m_charging->best->volts, m_charging->gassingVolts.value_or(0.0));
    }

    [[nodiscard]] std::string insteadOf(const charge::ChargeReaction& reaction, bool negative) const {
        const bool anodic = negative == m_charging->reversed;
        const chemistry::Reaction& law = m_catalogue.reactions[reaction.reaction];
        return anodic ? law.anodicName : law.cathodicName;
    }

    /// Gas made at rest and, if it is charged, while it is charged.
    [[nodiscard]] std::vector<GasFlow> flows() const {
        std::vector<GasFlow> flows;
        if (m_charging) {
            flows = m_charging->asked->gas;
        }
        const double rest = m_evaluation.hydrogenM3PerSecond / cell::kGasM3PerMole;
        const auto hydrogen = std::find_if(flows.begin(), flows.end(), [&](const GasFlow& flow) {
            return flow.species == m_catalogue.key.hydrogenGas;
        });
        if (hydrogen != flows.end()) {
            hydrogen->molesPerSecond = std::max(hydrogen->molesPerSecond, rest);
        } else {
            flows.push_back({m_catalogue.key.hydrogenGas, rest});
        }
        return flows;
    }

    void gasInAir() {
        const std::vector<GasFlow> all = flows();
        std::vector<chemistry::SpeciesIndex> said;
        for (const cell::SpaceAir& air : cell::airAround(m_catalogue, m_cell, all)) {
            if (air.share < air.limit || std::find(said.begin(), said.end(), air.gas) != said.end()) {
                continue;
            }
            said.push_back(air.gas);
            add(codeFor(air.space), Severity::Danger, FindingPart::Whole,
                {m_catalogue.species[air.gas].airLimit->name}, air.share);
        }
        const double together = static_cast<double>(m_cell.string.series) * m_cell.string.parallel;
        for (const GasFlow& flow : all) {
            const auto& limit = m_catalogue.species[flow.species].airLimit;
            const double moles = flow.molesPerSecond * together;
            if (m_cell.place.flame && limit && limit->burns && moles > kWorthSaying) {
                add(FindingCode::NearFlame, Severity::Danger, FindingPart::Whole, {limit->name},
                    moles * cell::kGasM3PerMole);
            }
        }
    }

    static FindingCode codeFor(Space space) {
        switch (space) {
        case Space::HeadSpace:
            return FindingCode::GasInHeadSpace;
        case Space::Box:
            return FindingCode::GasInBox;
        case Space::Room:
            return FindingCode::GasInRoom;
        case Space::Outdoors:
            break;
        }
        return FindingCode::GasOutdoors;
    }

    void strings() {
        const design::StringDesign& string = m_cell.string;
        if (string.series > 1 && string.oneLiquid && m_evaluation.sharedLiquidAmps > kSharedWorthSaying) {
            add(FindingCode::SharedLiquid, Severity::Warning, FindingPart::Electrolyte, {},
                m_evaluation.sharedLiquidAmps);
        }
        double each = std::abs(m_evaluation.openCircuitVolts);
        if (m_charging) {
            each = std::max(each, m_charging->asked->fullVolts.value_or(m_charging->asked->point.volts));
        }
        const double volts = each * string.series;
        if (volts >= kWarnVolts) {
            add(FindingCode::HighVoltage, volts >= kDangerVolts ? Severity::Danger : Severity::Warning,
                FindingPart::Whole, {}, volts);
        }
    }

    const Catalogue& m_catalogue;
    const Cell& m_cell;
    const Evaluation& m_evaluation;
    const std::optional<Charging>& m_charging;
    std::vector<Finding> m_findings;
};

} // namespace

bool isSameOnBothSides(const Cell& cell) {
    const auto& [negative, positive] = cell.electrodes;
    return negative.material == positive.material && negative.air == positive.air && !cell.twoLiquids;
}

std::vector<Finding> useFindings(const Catalogue& catalogue, const Cell& cell, const Evaluation& evaluation,
                                 const std::optional<Charging>& charging) {
    return UseFinder(catalogue, cell, evaluation, charging).run();
}

std::vector<Finding> foodFindings(const Catalogue& catalogue, const Cell& cell) {
    for (const auto& ready : cell.ready) {
        if (ready && catalogue.liquids[*ready].isFood) {
            return {{FindingCode::NotFoodAgain,
                     Severity::Note,
                     FindingPart::Electrolyte,
                     {catalogue.liquids[*ready].name},
                     0.0,
                     {}}};
        }
    }
    return {};
}

} // namespace anodex::findings
