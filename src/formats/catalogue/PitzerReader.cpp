#include "formats/catalogue/Context.h"

#include <algorithm>
#include <cmath>

namespace anodex::formats::catalogue {

using namespace chemistry;
using Code = FileError::Code;

void readPitzer(Context& context, JsonObject& root) {
    root.eachObject("pairs", [&](JsonObject& entry) {
        const SpeciesIndex cation = context.speciesNamed(entry, "cation", entry.text("cation"));
        const SpeciesIndex anion = context.speciesNamed(entry, "anion", entry.text("anion"));
        PitzerParameters pair;
        pair.beta0 = entry.number("beta0");
        pair.beta1 = entry.number("beta1");
        pair.beta2 = entry.numberOr("beta2", 0.0);
        if (entry.has("c0")) {
            pair.third = entry.number("c0");
            pair.thirdFading = entry.number("c1");
            pair.fadingRate = entry.number("c_decay", kPositive);
        } else {
            const auto charge = [&](SpeciesIndex ion) {
                return context.catalogue.species[ion].formula.charge;
            };
            pair.third =
                entry.number("c_phi") / (2.0 * std::sqrt(std::abs(1.0 * charge(cation) * charge(anion))));
        }
        pair.highestMolality = entry.number("highest_molality", kPositive);
        context.catalogue.pitzerPairs[{cation, anion}] = {pair, context.sourcesOf(entry)};
    });
    root.eachObject("theta", [&](JsonObject& entry) {
        const auto ions = entry.texts("ions");
        if (ions.size() != 2) {
            entry.fail(Code::WrongType, "ions", "a list of another length", "two ions of like sign");
            return;
        }
        const SpeciesIndex a = context.speciesNamed(entry, "ions", ions[0]);
        const SpeciesIndex b = context.speciesNamed(entry, "ions", ions[1]);
        context.catalogue.pitzerMixing.theta[{std::min(a, b), std::max(a, b)}] = entry.number("value");
    });
    root.eachObject("psi", [&](JsonObject& entry) {
        const auto like = entry.texts("like");
        const SpeciesIndex other = context.speciesNamed(entry, "other", entry.text("other"));
        if (like.size() != 2) {
            entry.fail(Code::WrongType, "like", "a list of another length", "two ions of like sign");
            return;
        }
        const SpeciesIndex a = context.speciesNamed(entry, "like", like[0]);
        const SpeciesIndex b = context.speciesNamed(entry, "like", like[1]);
        context.catalogue.pitzerMixing.psi[{{std::min(a, b), std::max(a, b)}, other}] = entry.number("value");
    });
    (void)root.text("mixing_source");
}

} // namespace anodex::formats::catalogue
