#include "core/explain/ExplainCharge.h"

#include "core/charge/Charge.h"
#include "core/explain/ExplainParts.h"

namespace anodex::explain {
namespace {

using chemistry::Catalogue;
using design::Side;

/// The electrode's potential, from the currents that add up to the one asked for.
Explanation electrodeOnCharge(const Catalogue& catalogue, const charge::ChargeDetail& detail, Side side) {
    const auto index = static_cast<std::size_t>(side);
    Explanation result{side == Side::Negative ? "E₋" : "E₊",
                       "E, where Σ i(E) over all reactions and phases = the charging current",
                       detail.point.potentialVolts[index],
                       Unit::Volt,
                       {"Wagner & Traud, Z. Elektrochem. 44, 391 (1938)"},
                       {}};
    for (const charge::ChargeReaction& entry : detail.reactions[index]) {
        if (entry.amps > 0.0) {
            const chemistry::Reaction& reaction = catalogue.reactions[entry.reaction];
            std::vector<std::string> sources = reaction.sources;
            for (const chemistry::SurfaceKinetics& kinetics : reaction.kinetics) {
                sources.insert(sources.end(), kinetics.sources.begin(), kinetics.sources.end());
            }
            Explanation current = input("i(" + reaction.equation + ")", entry.amps, Unit::Ampere, sources);
            current.inputs.push_back(input("E of the couple", entry.equilibriumVolts, Unit::Volt));
            result.inputs.push_back(std::move(current));
        }
    }
    return result;
}

} // namespace

Explanation explainCharge(const Catalogue& catalogue, const design::Cell& cell,
                          const cell::Evaluation& evaluation, double amps) {
    design::Cell charged = cell;
    charged.charge = design::ChargeDesign{amps, std::nullopt};
    const charge::Charging charging = charge::chargingOf(catalogue, charged, evaluation);
    const charge::ChargeDetail& detail = *charging.asked;
    Explanation result{
        "V_charge",         charging.reversed ? "V = E₋ − E₊ − E_j + I · R" : "V = E₊ − E₋ + E_j + I · R",
        detail.point.volts, Unit::Volt,
        {"Ohm's law"},      {}};
    result.inputs = {electrodeOnCharge(catalogue, detail, Side::Positive),
                     electrodeOnCharge(catalogue, detail, Side::Negative),
                     input("E_j", evaluation.junctionVolts, Unit::Volt),
                     input("I", amps, Unit::Ampere),
                     input("R", evaluation.resistance.totalOhm, Unit::Ohm),
                     {"share stored",
                      "the smaller of what each side stores of the current: couples driven back, metal "
                      "plated, oxidants that stay",
                      detail.point.efficiency,
                      Unit::None,
                      {},
                      {}}};
    return result;
}

} // namespace anodex::explain
