// Where a builder looks for a material: every one of the catalogue, and own ones.
#include "core/chemistry/MaterialGroup.h"
#include "tests/support/Samples.h"

#include <algorithm>
#include <gtest/gtest.h>

namespace anodex::chemistry {
namespace {

MaterialGroup groupOf(const std::string& name) {
    const Catalogue& catalogue = test::catalogue();
    const auto found = std::find_if(catalogue.materials.begin(), catalogue.materials.end(),
                                    [&](const Material& one) { return one.name == name; });
    EXPECT_NE(found, catalogue.materials.end()) << name;
    return chemistry::groupOf(catalogue, *found);
}

TEST(MaterialGroup, IsWhereABuilderWouldLook) {
    const std::pair<const char*, MaterialGroup> kLooked[] = {
        {"zinc", MaterialGroup::Metal},
        {"brass", MaterialGroup::Metal},
        {"steel wool", MaterialGroup::Metal},
        {"stainless steel", MaterialGroup::Metal},
        {"cast iron", MaterialGroup::Metal},
        {"titanium mesh", MaterialGroup::Metal},
        {"galvanised steel", MaterialGroup::Coated},
        {"copper-plated clip", MaterialGroup::Coated},
        {"platinised titanium", MaterialGroup::Coated},
        {"oxide-coated titanium", MaterialGroup::Coated},
        {"graphite", MaterialGroup::Carbon},
        {"charcoal", MaterialGroup::Carbon},
        {"carbon felt", MaterialGroup::Carbon},
        {"conductive polyethylene on copper", MaterialGroup::Carbon},
        {"oxidised copper", MaterialGroup::Compound},
        {"lead dioxide on lead", MaterialGroup::Compound},
        {"silver chloride", MaterialGroup::Compound},
        {"zinc paste", MaterialGroup::Powder},
        {"red lead paste", MaterialGroup::Powder},
        {"manganese dioxide", MaterialGroup::Powder},
        {"manganese dioxide and carbon mix", MaterialGroup::Powder},
        {"graphite powder", MaterialGroup::Powder},
    };
    for (const auto& [name, group] : kLooked) {
        EXPECT_EQ(groupOf(name), group) << name;
    }
}

TEST(MaterialGroup, AMetalWithNothingElseInItIsNeverElsewhere) {
    const Catalogue& catalogue = test::catalogue();
    for (const Material& material : catalogue.materials) {
        const bool loose = material.form == "paste" || material.form == "powder";
        const bool elements =
            std::all_of(material.composition.begin(), material.composition.end(), [&](const auto& part) {
                const auto& formula = catalogue.species[part.species].formula.elements;
                return formula.size() == 1 && formula.count("C") == 0;
            });
        if (elements && !loose && !material.composition.empty() && !material.plating) {
            EXPECT_EQ(chemistry::groupOf(catalogue, material), MaterialGroup::Metal) << material.id;
        }
    }
}

} // namespace
} // namespace anodex::chemistry
