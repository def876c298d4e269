// src/core/chemistry/Material.h - what electrodes, separators and cases are made of.
#pragma once
#include "core/chemistry/Hazard.h"
#include "core/chemistry/Species.h"
#include "core/chemistry/Spread.h"
#include <optional>
#include <string>
#include <vector>

namespace anodex::chemistry {

struct CompositionPart {
    SpeciesIndex species = 0;
    double massFraction = 1.0;
};

struct SurfacePart {
    SpeciesIndex phase = 0;
    double share = 1.0; ///< Of the material's wetted area.
};

/// A thin coat of one metal over the base; what shows of each is in the surfaces.
struct Plating {
    SpeciesIndex species = 0;
    FactorSpread thicknessMetres;
    double densityKgPerM3 = 1000.0;
};

struct Material {
    std::string id;
    std::string name;
    std::vector<std::string> aliases;
    std::vector<std::string> classes; ///< What compatibility rules call it.
    std::string formulaText;          ///< Accepted as a name too; may be empty.
    std::string form;                 ///< "sheet", "plate", "wire" …
    std::vector<CompositionPart> composition;
    std::vector<SurfacePart> surfaces;
    FactorSpread roughness;             ///< True over geometric area.
    FactorSpread utilisation{0.8, 1.1}; ///< Usable share of its reagent.
    double densityKgPerM3 = 1000.0;
    double defaultThicknessMetres = 0.0005;
    double resistivityOhmMetres = 0.0;
    double resistivitySpread = 1.0;     ///< Factor of the 5-95 % span; wide for loose and pressed layers.
    double specificAreaM2PerKg = 0.0;   ///< For additives given by mass.
    double capacitanceFaradPerKg = 0.0; ///< Double layer of porous carbon.
    std::optional<FactorSpread> breathingLimit; ///< A/m² geometric for gas reaching it from an open face.
    std::optional<Plating> plating;
    double porosity = 0.0;               ///< 0: solid, what lies behind it stays dry.
    double usualFilledPores = 1.0;       ///< Share of its pores that liquid fills as it is used.
    double wettedShareAsCollector = 0.0; ///< Its wetted area behind a porous electrode, over that area.
    FactorSpread throughOhmM2{0.0, 1.0}; ///< Across a film that current has to pass.
    FactorSpread touchOhmM2{0.0, 1.0};   ///< Between loose or pressed material and the collector it lies on.
    std::optional<OffsetSpread>
        grade; ///< Shift of the couples that use up its reagent, or its alloyed metal.
    std::vector<Hazard> hazards;
    std::optional<std::size_t>
        chargedAs; ///< The material that charging turns it into; none: not a discharged one.
    double formedCoulombsPerM2 =
        0.0; ///< What a plain sheet holds after its first long charge; 0: it does not form.
    double porousCrossover = 0.0; ///< A/m² geometric above which a porous layer's slope doubles; 0: flat.
    std::vector<std::string> sources;
};

struct SeparatorMaterial {
    std::string id;
    std::string name;
    std::vector<std::string> aliases;
    std::vector<std::string> classes; ///< What compatibility rules call it.
    FactorSpread macMullin{1.0, 1.0}; ///< Resistance over that of the same thickness of free liquid.
    double defaultThicknessMetres = 0.0;
    bool divides = false; ///< Keeps two liquids apart for hours.
    bool stacked = false; ///< The liquids lie one on the other, the denser below.
    /// A bridge filled with its own electrolyte; its ohms do not follow the cell's liquid.
    struct Bridge {
        double ohms = 0.0;
        double spreadFactor = 1.5;
        double conductivity = 1.0;     ///< S/m at 25 °C of its own liquid.
        std::vector<SpeciesTerm> ions; ///< Count = mol/m³.
    };
    std::optional<Bridge> bridge;
    double leak = 1.0;                ///< Share of free diffusion that still crosses it.
    double fixedCharge = 0.0;         ///< mol/m³ bound in a membrane; negative lets cations through.
    FactorSpread areaOhmM2{0.0, 1.0}; ///< A membrane's own resistance, beside its liquid.
    double junctionHalfWidth = 0.0;   ///< V, doubt of the potential across it.
    std::vector<std::string> sources;
};

struct CaseMaterial {
    std::string id;
    std::string name;
    std::vector<std::string> aliases;
    std::vector<std::string> classes; ///< What compatibility rules call it.
    double lowestPh = 0.0;
    double highestPh = 14.0;
    std::vector<std::string> sources;
};

} // namespace anodex::chemistry
