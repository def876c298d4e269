#include "core/explain/Explain.h"

#include "core/base/Constants.h"
#include "core/electrode/Nernst.h"
#include "core/explain/ExplainCharge.h"
#include "core/explain/ExplainParts.h"

#include <algorithm>
#include <cmath>

namespace anodex::explain {
namespace {

using cell::Evaluation;
using cell::LossPart;
using chemistry::Catalogue;
using design::Cell;
using design::Side;
using electrode::Moment;

constexpr const char* kNernstSource = "Nernst, Z. phys. Chem. 4, 129 (1889)";
constexpr const char* kMixedSource = "Wagner & Traud, Z. Elektrochem. 44, 391 (1938)";
constexpr const char* kHendersonSource = "Henderson, Z. phys. Chem. 59, 118 (1907)";
constexpr const char* kFickSource = "Fick, Ann. Phys. 170, 59 (1855)";
constexpr const char* kMembraneSource =
    "Teorell, Proc. Soc. Exp. Biol. 33, 282 (1935); Meyer & Sievers, Helv. Chim. Acta 19, 649 (1936)";
constexpr const char* kFaradaySource = "Faraday's law; F from CODATA 2018";
constexpr const char* kConstantSource = "CODATA 2018";

class Explainer {
public:
    Explainer(const Catalogue& catalogue, const Cell& cell, const Evaluation& evaluation)
        : m_catalogue(catalogue), m_cell(cell), m_evaluation(evaluation),
          m_compiled(cell::compile(catalogue, cell)) {}

    [[nodiscard]] Explanation of(const QuantityKey& key) const {
        switch (key.quantity) {
        case Quantity::ThermodynamicVoltage:
            return thermodynamic();
        case Quantity::OpenCircuitVoltage:
            return openCircuit();
        case Quantity::ShortCircuitCurrent:
            return shortCircuit();
        case Quantity::MaximumPower:
            return maximumPower();
        case Quantity::Resistance:
            return resistance();
        case Quantity::ResistancePart:
            return resistancePart(key.index);
        case Quantity::Capacity:
            return capacity();
        case Quantity::Reagent:
            return reagent(key.index);
        case Quantity::SelfDischarge:
            return selfDischarge();
        case Quantity::Hydrogen:
            return hydrogen();
        case Quantity::RestPotential:
            return restPotential(key.side);
        case Quantity::EquilibriumPotential:
            return equilibrium(key.side, competingAt(key));
        case Quantity::Conductivity:
            return explainConductivity(m_catalogue, *m_evaluation.contents, key.side);
        case Quantity::Acidity:
            return explainAcidity(m_catalogue, *m_evaluation.contents, key.side);
        case Quantity::LoadedVoltage:
            return loaded(key.amps, key.moment);
        case Quantity::Loss:
            return loss(key.amps, key.index, key.moment);
        case Quantity::InternalResistance:
            return internal(key.amps);
        case Quantity::ElectrodeMass:
            return explainMass(m_catalogue, m_cell, key.side);
        case Quantity::ChargeVoltage:
            return explainCharge(m_catalogue, m_cell, m_evaluation, key.amps);
        case Quantity::LiquidVolume:
            return explainVolume(m_catalogue, *m_evaluation.contents, key.side);
        }
        return {};
    }

private:
    [[nodiscard]] std::size_t competingAt(const QuantityKey& key) const {
        const auto& competing = m_evaluation.side(key.side).competing;
        return key.index < competing.size() ? competing[key.index].reaction
                                            : m_evaluation.side(key.side).couple.reaction;
    }

    static const char* sign(Side side) { return side == Side::Negative ? "−" : "+"; }

    [[nodiscard]] Explanation equilibrium(Side side, std::size_t reactionIndex) const {
        const chemistry::Reaction& reaction = m_catalogue.reactions[reactionIndex];
        const electrode::ReactionParameters& parameters = m_compiled.electrode(side).reactions[reactionIndex];
        const liquid::Solution& solution = m_evaluation.contents->atFace(side);
        const double grade = electrode::gradeVoltsIn(parameters, solution);
        Explanation result{"E(" + reaction.equation + ")",
                           grade == 0.0 ? "E = E° + (dE°/dT)(T − 298.15) − RT/(nF) · ln Q"
                                        : "E = E° + g + (dE°/dT)(T − 298.15) − RT/(nF) · ln Q",
                           electrode::nernstVolts(parameters, solution),
                           Unit::Volt,
                           {kNernstSource},
                           {}};
        result.inputs.push_back(input("E°", reaction.standardVolts.value, Unit::Volt, reaction.sources));
        if (grade != 0.0) {
            result.inputs.push_back(input("g, grade of its solid", grade, Unit::Volt));
        }
        result.inputs.push_back(
            input("dE°/dT per K", reaction.standardVoltsPerKelvin, Unit::Volt, reaction.sources));
        result.inputs.push_back(input("T", solution.mixture.temperatureKelvin, Unit::Kelvin));
        result.inputs.push_back(input("n", reaction.electrons, Unit::None));
        for (const electrode::ActivityTerm& term : parameters.terms) {
            const double activity = electrode::activityOrTrace(term, solution);
            const chemistry::Species& species = m_catalogue.species[term.species];
            const bool inLiquid = species.isDissolved();
            result.inputs.push_back(
                input("a(" + species.name + ")", activity, Unit::None,
                      inLiquid ? std::vector<std::string>{kPitzerSource} : species.sources));
        }
        return result;
    }

    [[nodiscard]] Explanation thermodynamic() const {
        Explanation result{"V_th", "V_th = E(+) − E(−)", m_evaluation.thermodynamicVolts, Unit::Volt, {}, {}};
        for (const Side side : {Side::Positive, Side::Negative}) {
            result.inputs.push_back(equilibrium(side, m_evaluation.side(side).couple.reaction));
        }
        return result;
    }

    [[nodiscard]] Explanation restPotential(Side side) const {
        const cell::SideResult& which = m_evaluation.side(side);
        Explanation result{std::string("E_rest(") + sign(side) + ")",
                           "Σ i(E_rest) = 0 over all reactions and phases",
                           which.restVolts,
                           Unit::Volt,
                           {kMixedSource},
                           {}};
        for (const cell::CompetingReaction& entry : which.competing) {
            if (entry.blocked == electrode::Blocked::No || entry.amps != 0.0) {
                const chemistry::Reaction& reaction = m_catalogue.reactions[entry.reaction];
                Explanation current{"I(" + reaction.equation + ")",
                                    "i = (i_a − i_c) / (1 + i_a/i_La + i_c/i_Lc)",
                                    entry.amps,
                                    Unit::Ampere,
                                    kineticsSources(reaction),
                                    {}};
                current.inputs.push_back(equilibrium(side, entry.reaction));
                result.inputs.push_back(std::move(current));
            }
        }
        return result;
    }

    static std::vector<std::string> kineticsSources(const chemistry::Reaction& reaction) {
        std::vector<std::string> sources;
        for (const chemistry::SurfaceKinetics& kinetics : reaction.kinetics) {
            for (const std::string& source : kinetics.sources) {
                if (std::find(sources.begin(), sources.end(), source) == sources.end()) {
                    sources.push_back(source);
                }
            }
        }
        return sources;
    }

    [[nodiscard]] Explanation openCircuit() const {
        if (m_cell.measuredOpenCircuitVolts) {
            return input("V_oc (measured)", *m_cell.measuredOpenCircuitVolts, Unit::Volt);
        }
        Explanation result{
            "V_oc", "V_oc = E_rest(+) − E_rest(−) + E_j", m_evaluation.openCircuitVolts, Unit::Volt, {}, {}};
        result.inputs.push_back(restPotential(Side::Positive));
        result.inputs.push_back(restPotential(Side::Negative));
        const bool membrane =
            m_cell.barrier && m_catalogue.separators[m_cell.barrier->separator].fixedCharge != 0.0;
        result.inputs.push_back(
            {"E_j",
             membrane ? "Donnan steps on both faces of the membrane, Henderson's junction inside"
                      : "Henderson's junction of the two liquids",
             m_evaluation.junctionVolts,
             Unit::Volt,
             {membrane ? kMembraneSource : kHendersonSource},
             {}});
        return result;
    }

    [[nodiscard]] Explanation shortCircuit() const {
        Explanation result{"I_sc",
                           "V(I_sc) = I_sc · R_meter, V(I) = E(+) − E(−) + E_j − I·R, 5 s after closing",
                           m_evaluation.first.shortCircuitAmps,
                           Unit::Ampere,
                           {},
                           {}};
        result.inputs.push_back(openCircuit());
        result.inputs.push_back(resistance());
        result.inputs.push_back(input("R_meter", cell::kMeterOhm, Unit::Ohm));
        return result;
    }

    [[nodiscard]] Explanation loaded(double amps, Moment moment = Moment::First) const {
        const auto losses = cell::lossesAt(m_catalogue, m_cell, m_evaluation, amps, moment);
        Explanation result{"V(I)",
                           moment == Moment::First ? "V(I) = V_th − Σ losses, 5 s after closing"
                                                   : "V(I) = V_th − Σ losses, once settled",
                           m_evaluation.thermodynamicVolts,
                           Unit::Volt,
                           {},
                           {}};
        result.inputs = {input("I", amps, Unit::Ampere), thermodynamic()};
        for (std::size_t i = 0; i < losses.size(); ++i) {
            result.value -= losses[i].volts;
            result.inputs.push_back(lossOf(losses[i], amps));
        }
        return result;
    }

    [[nodiscard]] Explanation loss(double amps, std::size_t index, Moment moment) const {
        const auto losses = cell::lossesAt(m_catalogue, m_cell, m_evaluation, amps, moment);
        return index < losses.size() ? lossOf(losses[index], amps) : loaded(amps, moment);
    }

    [[nodiscard]] Explanation lossOf(const cell::Loss& loss, double amps) const {
        Explanation result{"ΔV", "ΔV = I · Σ R", loss.volts, Unit::Volt, {"Ohm's law"}, {}};
        result.inputs = {input("I", amps, Unit::Ampere)};
        switch (loss.part) {
        case LossPart::Mixed:
            result.symbol = "V_th − V_oc";
            result.formula = "V_th − V_oc: side reactions hold the electrodes off their couples";
            result.sources = {kMixedSource};
            result.inputs = {thermodynamic(), openCircuit()};
            break;
        case LossPart::NegativePolarisation:
        case LossPart::PositivePolarisation: {
            const Side side = loss.part == LossPart::NegativePolarisation ? Side::Negative : Side::Positive;
            result.symbol = std::string("η(") + sign(side) + ")";
            result.formula = "η = |E(I) − E_rest|, where Σ i(E) = ±I over all reactions and phases";
            result.sources = kineticsSources(m_catalogue.reactions[m_evaluation.side(side).couple.reaction]);
            result.inputs.push_back(restPotential(side));
            break;
        }
        default:
            for (std::size_t i = 0; i < m_evaluation.resistance.shares.size(); ++i) {
                if (cell::lossPartOf(m_evaluation.resistance.shares[i].part) == loss.part) {
                    result.inputs.push_back(resistancePart(i));
                }
            }
        }
        return result;
    }

    [[nodiscard]] Explanation internal(double amps) const {
        Explanation result{"R_i", "R_i = (V_oc − V(I)) / I", m_evaluation.resistance.totalOhm, Unit::Ohm, {},
                           {}};
        result.inputs = {openCircuit(), loaded(amps), input("I", amps, Unit::Ampere)};
        if (amps != 0.0) {
            result.value = (result.inputs[0].value - result.inputs[1].value) / amps;
        }
        return result;
    }

    [[nodiscard]] Explanation maximumPower() const {
        const cell::PowerPoint& peak = m_evaluation.first.maximumPower;
        Explanation result{
            "P_max", "largest V(I)·I for 0 < I < I_sc, 5 s after closing", peak.watts, Unit::Watt, {}, {}};
        result.inputs.push_back(input("I at P_max", peak.amps, Unit::Ampere));
        result.inputs.push_back(
            input("V at P_max", peak.amps != 0.0 ? peak.watts / peak.amps : 0.0, Unit::Volt));
        result.inputs.push_back(shortCircuit());
        return result;
    }

    [[nodiscard]] Explanation resistance() const {
        Explanation result{"R", "R = Σ parts", m_evaluation.resistance.totalOhm, Unit::Ohm, {}, {}};
        for (std::size_t i = 0; i < m_evaluation.resistance.shares.size(); ++i) {
            result.inputs.push_back(resistancePart(i));
        }
        return result;
    }

    [[nodiscard]] Explanation resistancePart(std::size_t index) const {
        return index < m_evaluation.resistance.shares.size()
                   ? explainResistancePart(m_catalogue, m_cell, *m_evaluation.contents,
                                           m_evaluation.resistance.shares[index])
                   : resistance();
    }

    [[nodiscard]] Explanation capacity() const {
        const cell::Capacity& all = m_evaluation.capacity;
        if (!all.reagents.empty() && all.expectedCoulombs == 0.0 &&
            all.reagents.front().expectedCoulombs > 0.0) {
            return {"Q",
                    "Q = 0, since nothing drives the cell",
                    all.expectedCoulombs,
                    Unit::Coulomb,
                    {},
                    {openCircuit()}};
        }
        Explanation result{"Q",
                           "Q = smallest of the reagents",
                           m_evaluation.capacity.expectedCoulombs,
                           Unit::Coulomb,
                           {kFaradaySource},
                           {}};
        for (std::size_t i = 0; i < m_evaluation.capacity.reagents.size(); ++i) {
            result.inputs.push_back(reagent(i));
        }
        return result;
    }

    [[nodiscard]] Explanation reagent(std::size_t index) const {
        if (index >= m_evaluation.capacity.reagents.size()) {
            return capacity();
        }
        const cell::Reagent& entry = m_evaluation.capacity.reagents[index];
        const double perMole = entry.moles > 0.0 ? entry.coulombs / entry.moles / base::kFaraday : 0.0;
        return {"Q(" + m_catalogue.species[entry.species].name + ")",
                "Q = u · z · F · N",
                entry.expectedCoulombs,
                Unit::Coulomb,
                {kFaradaySource},
                {input("N", entry.moles, Unit::Mole),
                 input("z (electrons per unit used up)", perMole, Unit::None),
                 input("F per mole", base::kFaraday, Unit::Coulomb, {kConstantSource}),
                 input("u (share that gets used)",
                       entry.coulombs > 0.0 ? entry.expectedCoulombs / entry.coulombs : 0.0, Unit::None,
                       {"common practice, no source"})}};
    }

    [[nodiscard]] Explanation selfDischarge() const {
        Explanation result{
            "I_self",
            "I_self = the larger corrosion current of the two electrodes at rest + I_crossover",
            m_evaluation.selfDischargeAmps,
            Unit::Ampere,
            {kMixedSource},
            {}};
        result.inputs = {restPotential(Side::Negative),
                         restPotential(Side::Positive),
                         {"I_crossover",
                          "I = n/|ν| · F · D · Δc · A · leak / path, for what the positive side uses up",
                          m_evaluation.crossoverAmps,
                          Unit::Ampere,
                          {kFickSource},
                          {}}};
        return result;
    }

    [[nodiscard]] Explanation hydrogen() const {
        const double amps = m_evaluation.sides[0].hydrogenAmps + m_evaluation.sides[1].hydrogenAmps;
        return {"V(H₂)/t",
                "V/t = I(H₂) · R·T / (2·F·p)",
                m_evaluation.hydrogenM3PerSecond,
                Unit::M3PerSecond,
                {kFaradaySource},
                {input("I(H₂)", amps, Unit::Ampere), input("T", 293.15, Unit::Kelvin)}};
    }

    const Catalogue& m_catalogue;
    const Cell& m_cell;
    const Evaluation& m_evaluation;
    cell::CompiledCell m_compiled;
};

} // namespace

Explanation explain(const Catalogue& catalogue, const Cell& cell, const Evaluation& evaluation,
                    const QuantityKey& key) {
    return Explainer(catalogue, cell, evaluation).of(key);
}

} // namespace anodex::explain
