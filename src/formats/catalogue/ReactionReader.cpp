#include "formats/catalogue/Context.h"

#include "core/base/Constants.h"
#include "core/chemistry/Equation.h"
#include "formats/Equation.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace anodex::formats::catalogue {

using namespace chemistry;
using Code = FileError::Code;

namespace {

std::vector<SpeciesIndex> speciesList(const Context& context, JsonObject& entry, const char* key) {
    std::vector<SpeciesIndex> list;
    for (const std::string& name : entry.texts(key)) {
        list.push_back(context.speciesNamed(entry, key, name));
    }
    return list;
}

ReferenceKind referenceOf(JsonObject& entry) {
    const std::string text = entry.textOr("reference", "standard");
    if (text == "equilibrium") {
        return ReferenceKind::Equilibrium;
    }
    if (text == "absolute") {
        return ReferenceKind::Absolute;
    }
    if (text != "standard") {
        entry.fail(Code::UnknownName, "reference", "\"" + text + "\"", "standard, equilibrium or absolute");
    }
    return ReferenceKind::Standard;
}

PhWindow windowOf(JsonObject& entry) {
    const Json* window = entry.raw("pH");
    if (window == nullptr) {
        return {};
    }
    if (!window->is_array() || window->size() != 2 || !(*window)[0].is_number() ||
        !(*window)[1].is_number()) {
        entry.fail(Code::WrongType, "pH", describeJson(*window), "two numbers, low and high");
        return {};
    }
    return {(*window)[0].get<double>(), (*window)[1].get<double>()};
}

std::optional<FactorSpread> limitOf(JsonObject& entry, const char* key, const char* spreadKey) {
    const auto value = entry.maybeNumber(key, kPositive);
    const double spread = entry.numberOr(spreadKey, 1.0, kPositive);
    return value ? std::optional(FactorSpread{*value, spread}) : std::nullopt;
}

/// The stored slope must leave the other branch a positive one: 1/ba + 1/bc = nF/(2.303 ν R T), within 5 %
/// when both are given.
void checkDetailedBalance(JsonObject& entry, const Reaction& reaction, double stored) {
    const double both = reaction.electrons / (reaction.rateDeterminingRepeats *
                                              base::nernstDecadeVolts(base::kStandardTemperature));
    const auto other = entry.maybeNumber("other_slope_V", kPositive);
    if (other && std::abs(1.0 / stored + 1.0 / *other - both) > 0.05 * both) {
        entry.fail(Code::NotBalanced, "other_slope_V", fmt::format("{} V", *other),
                   base::Said("{volts} V, by detailed balance",
                              {{"volts", fmt::format("{:.4f}", 1.0 / std::max(both - 1.0 / stored, 1e-9))}}));
    }
}

std::optional<double> enthalpyOf(const Catalogue& catalogue, const Reaction& reaction) {
    std::optional<double> sum = 0.0;
    for (const SpeciesTerm& term : reaction.terms) {
        const auto& one = catalogue.species[term.species].enthalpyJoulesPerMole;
        sum = sum && one ? std::optional(*sum + term.count * *one) : std::nullopt;
    }
    return sum;
}

/// dE0/dT = (E0 - E_thermoneutral) / T: either gives the other. Stated only where an enthalpy is not known.
void takeWarmth(const Catalogue& catalogue, JsonObject& entry, Reaction& reaction) {
    const double volts = reaction.standardVolts.value;
    const auto enthalpy = enthalpyOf(catalogue, reaction);
    const auto stated = entry.maybeNumber("dE0_mV_per_K");
    if (stated || !enthalpy) {
        reaction.standardVoltsPerKelvin = 0.001 * stated.value_or(0.0);
        reaction.thermoneutralVolts = volts - base::kStandardTemperature * reaction.standardVoltsPerKelvin;
        return;
    }
    reaction.thermoneutralVolts = -*enthalpy / (reaction.electrons * base::kFaraday);
    reaction.standardVoltsPerKelvin = (volts - reaction.thermoneutralVolts) / base::kStandardTemperature;
}

SurfaceKinetics kineticsOf(const Context& context, JsonObject& entry, const Reaction& reaction) {
    SurfaceKinetics kinetics;
    kinetics.surfaces = speciesList(context, entry, "on");
    const std::string branch = entry.text("branch");
    if (branch != "anodic" && branch != "cathodic") {
        entry.fail(Code::UnknownName, "branch", "\"" + branch + "\"", "anodic or cathodic");
    }
    kinetics.storedBranch = branch == "cathodic" ? Branch::Cathodic : Branch::Anodic;
    kinetics.currentDensity = {entry.number("A_per_m2", kPositive), entry.numberOr("spread", 1.0, kPositive)};
    kinetics.slopeVolts = entry.number("slope_V", kPositive);
    checkDetailedBalance(entry, reaction, kinetics.slopeVolts);
    kinetics.reference = referenceOf(entry);
    kinetics.referenceVolts = {entry.numberOr("reference_V", 0.0),
                               entry.numberOr("reference_half_width_V", 0.0, kNotNegative)};
    entry.eachObject("reference_shifts", [&](JsonObject& shift) {
        kinetics.referenceShifts.push_back({context.speciesNamed(shift, "species", shift.text("species")),
                                            shift.number("V_per_decade"),
                                            std::log(shift.number("at", kPositive))});
    });
    entry.eachNumber("orders", [&](const std::string& species, double order) {
        kinetics.orders.push_back({context.speciesNamed(entry, "orders", species), order});
    });
    entry.eachNumber("inhibited_half_at", [&](const std::string& species, double activity) {
        if (activity <= 0.0) {
            entry.fail(Code::OutOfRange, "inhibited_half_at", "0 or less", "an activity above 0");
        }
        kinetics.inhibitors.push_back({context.speciesNamed(entry, "inhibited_half_at", species), activity});
    });
    kinetics.window = windowOf(entry);
    kinetics.needs = speciesList(context, entry, "requires");
    kinetics.absentWith = speciesList(context, entry, "absent_with");
    kinetics.oneWay = entry.flagOr("one_way", false);
    kinetics.onTraces = entry.flagOr("on_traces", false);
    kinetics.anodicLimit = limitOf(entry, "anodic_limit_A_per_m2", "anodic_limit_spread");
    kinetics.cathodicLimit = limitOf(entry, "cathodic_limit_A_per_m2", "cathodic_limit_spread");
    kinetics.grownFilmLimit = limitOf(entry, "grown_film_limit_A_per_m2", "grown_film_limit_spread");
    const double share = entry.numberOr("hydrogen_share", 0.0, {0.0, 0.95, true, "a share from 0 to 0.95"});
    if (share > 0.0) {
        kinetics.parasite = chemistry::Parasite{0, share};
    }
    kinetics.activationJoulesPerMole = 1000.0 * entry.numberOr("activation_kJ", 40.0, kNotNegative);
    kinetics.freshDivides = entry.numberOr("fresh_divides", 1.0, {1.0, 1e6, true, "a number from 1"});
    (void)entry.raw("note");
    kinetics.sources = context.sourcesOf(entry);
    return kinetics;
}

void takeEquation(const Context& context, JsonObject& entry, Reaction& reaction) {
    auto equation = parseEquation(context.catalogue, reaction.equation);
    if (!equation) {
        entry.fail(Code::UnknownName, "equation", equation.error(),
                   "species and counts with \" = \" between");
        return;
    }
    if (!isBalanced(context.catalogue, *equation) || equation->electrons <= 0.0) {
        entry.fail(Code::NotBalanced, "equation", "\"" + reaction.equation + "\"",
                   "equal elements and charge on both sides, electrons on the left");
    }
    reaction.terms = std::move(equation->terms);
    reaction.electrons = equation->electrons;
}

/// The one that makes hydrogen of solvent alone.
std::optional<std::size_t> hydrogenFromSolvent(const Catalogue& catalogue) {
    for (std::size_t i = 0; i < catalogue.reactions.size(); ++i) {
        const auto& terms = catalogue.reactions[i].terms;
        const auto has = [&](SpeciesIndex species, double sign) {
            return std::any_of(terms.begin(), terms.end(), [&](const SpeciesTerm& term) {
                return term.species == species && sign * term.count > 0.0;
            });
        };
        if (has(catalogue.key.solvent, -1.0) && has(catalogue.key.hydrogenGas, 1.0)) {
            return i;
        }
    }
    return std::nullopt;
}

/// Which reaction takes the share that a metal loses to hydrogen; it may stand later.
void linkParasite(const Context& context, JsonObject& root, SurfaceKinetics& kinetics,
                  const std::string& id) {
    const auto& reactions = context.catalogue.reactions;
    const auto named = std::find_if(reactions.begin(), reactions.end(),
                                    [&](const Reaction& other) { return other.id == id; });
    const auto found = named != reactions.end()
                           ? std::optional(static_cast<std::size_t>(named - reactions.begin()))
                           : hydrogenFromSolvent(context.catalogue);
    if (!found || (!id.empty() && named == reactions.end())) {
        root.fail(Code::UnknownName, "hydrogen_by", "\"" + id + "\"", "the id of a reaction");
        return;
    }
    kinetics.parasite->reaction = *found;
}

} // namespace

void readReactions(Context& context, JsonObject& root) {
    std::vector<std::string> hydrogenBy; // of every kinetics in turn
    root.eachObject("reactions", [&](JsonObject& entry) {
        Reaction reaction;
        reaction.id = entry.text("id");
        reaction.equation = entry.text("equation");
        reaction.anodicName = entry.text("anodic_name");
        reaction.cathodicName = entry.text("cathodic_name");
        takeEquation(context, entry, reaction);
        reaction.standardVolts = {entry.number("E0_V"), entry.numberOr("E0_half_width_V", 0.0, kNotNegative)};
        takeWarmth(context.catalogue, entry, reaction);
        reaction.rateDeterminingRepeats = entry.numberOr("rate_determining_repeats", 1.0, kPositive);
        reaction.fades = entry.flagOr("fades", false);
        reaction.supplyElectrons = entry.numberOr("supply_electrons", 0.0, kNotNegative);
        entry.eachObject("traces", [&](JsonObject& trace) {
            reaction.traces.push_back({context.speciesNamed(trace, "species", trace.text("species")),
                                       trace.number("activity", kPositive), trace.number("low", kPositive),
                                       trace.number("high", kPositive)});
        });
        entry.eachObject("kinetics", [&](JsonObject& item) {
            reaction.kinetics.push_back(kineticsOf(context, item, reaction));
            hydrogenBy.push_back(item.textOr("hydrogen_by", ""));
        });
        reaction.knownConflict = entry.textOr("known_conflict", "");
        deriveFromEquation(context.catalogue, reaction);
        reaction.sources = context.sourcesOf(entry);
        context.catalogue.reactions.push_back(std::move(reaction));
    });
    for (std::size_t i = 0, next = 0; i < context.catalogue.reactions.size(); ++i) {
        for (SurfaceKinetics& kinetics : context.catalogue.reactions[i].kinetics) {
            const std::string& id = hydrogenBy[next++];
            if (kinetics.parasite) {
                linkParasite(context, root, kinetics, id);
            }
        }
    }
    indexPrecursors(context.catalogue);
    root.eachObject("left_out", [&](JsonObject& entry) {
        context.catalogue.leftOut.push_back({entry.text("equation"), entry.text("why")});
    });
}

} // namespace anodex::formats::catalogue
