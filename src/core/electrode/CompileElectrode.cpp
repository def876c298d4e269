#include "core/electrode/CompileElectrode.h"

#include "core/base/Constants.h"
#include "core/electrode/Transport.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace anodex::electrode {
namespace {

using chemistry::Catalogue;
using chemistry::FactorSpread;
using chemistry::Material;
using chemistry::Reaction;
using chemistry::SpeciesIndex;
using chemistry::SurfaceKinetics;
using design::Electrode;
using design::Side;

// A product nobody poured in is there in traces, however clean the liquid (from memory).
constexpr double kTraceActivity = 3e-6; // about the middle of the two below
constexpr double kTraceLow = 1e-7;
constexpr double kTraceHigh = 1e-4;
constexpr FactorSpread kFlow{1.0, 1.5}; // still liquid is never quite still (common practice, no source)
constexpr FactorSpread kStillOxygen{1.0, 2.0};    // from memory
constexpr FactorSpread kAirlessOxygen{1.0, 10.0}; // from memory: boiled water to a jar under oil
constexpr FactorSpread kLayerAir{1.0, 2.0};       // where no limit is known (common practice, no source)
constexpr FactorSpread kPaths{1.0, 1.4};          // through pores (common practice, no source)
constexpr double kMostAmpsPerM2 = 1e7; // a decade beyond machining in a forced stream of brine (from memory)
constexpr double kLeastLiquidDoubt = 1.05; // of weighing and mixing (common practice, no source)
constexpr double kUnit = 1.0;              // 5-95 % of a state told in units of its span

/// A phase exposed to the liquid.
struct Face {
    SpeciesIndex phase = 0;
    double trueArea = 0.0;
    double geometricArea = 0.0;
    double porousCrossover = 0.0; // A
};

class Compiler {
public:
    Compiler(const Catalogue& catalogue, const design::Cell& cell, Side side, const Draw& draw)
        : m_catalogue(catalogue), m_cell(cell), m_electrode(cell.electrode(side)),
          m_material(catalogue.materials[m_electrode.material]), m_draw(draw) {
        m_parameters.side = side;
    }

    ElectrodeParameters compiled() {
        takeMaterial();
        takeSurroundings();
        takeCarriers();
        takeHeldSolids();
        takeRoutes();
        return std::move(m_parameters);
    }

private:
    void takeMaterial() {
        m_parameters.resistivityOhmMetres = resistivityOf(m_material);
        m_parameters.throughOhmM2 = m_draw.factor({InputKind::Film, m_material.id}, m_material.throughOhmM2);
        m_parameters.utilisation =
            std::min(1.0, m_draw.factor({InputKind::Utilisation, m_material.id}, m_material.utilisation));
        if (m_material.plating) {
            const FactorSpread& thickness = m_material.plating->thicknessMetres;
            m_parameters.platingFactor =
                m_draw.factor({InputKind::Plating, m_material.id}, thickness) / thickness.value;
        }
        m_parameters.pathFactor = m_draw.factor({InputKind::Pores, m_material.id}, kPaths);
        const InputKey air{InputKind::AirSupply, m_material.id};
        if (m_material.breathingLimit) {
            m_parameters.breathingAmpsPerM2 = m_draw.factor(air, *m_material.breathingLimit);
        } else {
            m_parameters.breathingFactor = m_draw.factor(air, kLayerAir);
        }
        m_parameters.surfaceState = m_draw.offset({InputKind::SurfaceState, m_material.id}, {0.0, kUnit});
        if (m_electrode.collector) {
            const Material& collector = m_catalogue.materials[*m_electrode.collector];
            m_parameters.collectorResistivityOhmMetres = resistivityOf(collector);
            m_parameters.collectorThroughOhmM2 =
                m_draw.factor({InputKind::Film, collector.id}, collector.throughOhmM2);
            m_parameters.touchOhmM2 = m_draw.factor({InputKind::Touch, m_material.id}, m_material.touchOhmM2);
        }
    }

    void takeSurroundings() {
        const int side = m_parameters.side == Side::Negative ? 0 : 1;
        const double doubt =
            std::max(kLeastLiquidDoubt, m_cell.liquidDoubtFactor[static_cast<std::size_t>(side)]);
        m_parameters.liquidConductivityFactor =
            m_draw.factor({InputKind::LiquidConductivity, {}, m_cell.twoLiquids ? side : 0}, {1.0, doubt});
        m_parameters.supplyFactor = m_draw.factor({InputKind::Supply, {}, side}, kFlow);
        m_parameters.stillOxygenFactor = m_draw.factor({InputKind::StillOxygen, {}}, kStillOxygen);
        m_parameters.airlessOxygenFactor = m_draw.factor({InputKind::AirlessOxygen, {}}, kAirlessOxygen);
    }

    void takeCarriers() {
        for (SpeciesIndex s = 0; s < m_catalogue.species.size(); ++s) {
            const chemistry::Species& species = m_catalogue.species[s];
            const double protons = s == m_catalogue.key.hydrogenIon ? 1.0 : species.acidicProtons;
            if (protons > 0.0) {
                m_parameters.acids.push_back({s, protons});
            }
            const double hydroxide = s == m_catalogue.key.hydroxide ? 1.0 : species.carriedHydroxide;
            if (hydroxide > 0.0) {
                m_parameters.bases.push_back({s, hydroxide});
            }
        }
    }

    void takeHeldSolids() {
        std::vector<char>& held = m_parameters.heldSolids;
        held.assign(m_catalogue.species.size(), 0);
        const auto addSurfaces = [&](const Material& material) {
            for (const chemistry::SurfacePart& part : material.surfaces) {
                held[part.phase] = 1;
            }
        };
        addSurfaces(m_material);
        for (const design::ElectrodeAdditive& additive : m_electrode.additives) {
            addSurfaces(m_catalogue.materials[additive.material]);
        }
        if (m_electrode.collector) {
            const Material& collector = m_catalogue.materials[*m_electrode.collector];
            addSurfaces(collector);
            for (const chemistry::CompositionPart& part : collector.composition) {
                held[part.species] = 1;
            }
            if (collector.plating) {
                held[collector.plating->species] = 1;
            }
        }
    }

    [[nodiscard]] double resistivityOf(const Material& material) const {
        return m_draw.factor({InputKind::Resistivity, material.id},
                             {material.resistivityOhmMetres, material.resistivitySpread});
    }

    /// What is not sold as a powder goes in as filings.
    [[nodiscard]] static double areaPerKgOf(const Material& powder) {
        constexpr double kFilingsMetres = 2e-4; // across (common practice, no source)
        return powder.specificAreaM2PerKg > 0.0 ? powder.specificAreaM2PerKg
                                                : 6.0 / (powder.densityKgPerM3 * kFilingsMetres);
    }

    [[nodiscard]] std::vector<Face> facesOf() const {
        std::vector<Face> faces;
        const auto add = [&](const Material& material, double trueArea, double geometricArea) {
            for (const chemistry::SurfacePart& part : material.surfaces) {
                faces.push_back({part.phase, part.share * trueArea, part.share * geometricArea,
                                 part.share * material.porousCrossover * geometricArea});
            }
        };
        const auto roughness = [&](const Material& material) {
            return m_draw.factor({InputKind::Roughness, material.id}, material.roughness);
        };
        const double area = m_electrode.areaM2;
        add(m_material, area * roughness(m_material), area);
        for (const design::ElectrodeAdditive& additive : m_electrode.additives) {
            const Material& powder = m_catalogue.materials[additive.material];
            constexpr double kLeastArea = 1e-9; // m²
            add(powder, std::max(additive.massKg * areaPerKgOf(powder), kLeastArea), area);
        }
        if (m_electrode.collector && m_material.porosity > 0.0) {
            // Liquid that fills a porous electrode wets what lies in or behind it.
            const Material& collector = m_catalogue.materials[*m_electrode.collector];
            const double wetted = area * collector.wettedShareAsCollector;
            if (wetted > 0.0) {
                add(collector, wetted * roughness(collector), wetted);
            }
        }
        return faces;
    }

    /// A reaction that none of the faces knows has nothing to be drawn.
    void takeRoutes() {
        const std::vector<Face> faces = facesOf();
        m_parameters.reactions.resize(m_catalogue.reactions.size());
        for (std::size_t r = 0; r < m_catalogue.reactions.size(); ++r) {
            m_parameters.reactions[r].reaction = &m_catalogue.reactions[r];
            for (const Face& face : faces) {
                takeRoutes(r, face);
            }
        }
        for (const RouteParameters& route : m_parameters.routes) {
            takeReaction(route.reaction);
            if (route.kinetics->parasite) {
                takeReaction(route.kinetics->parasite->reaction);
            }
        }
    }

    void takeReaction(std::size_t index) {
        const Reaction& reaction = m_catalogue.reactions[index];
        ReactionParameters& parameters = m_parameters.reactions[index];
        if (!parameters.terms.empty()) {
            return;
        }
        parameters.standardVolts =
            m_draw.offset({InputKind::StandardPotential, reaction.id}, reaction.standardVolts);
        parameters.gradeVolts = gradeVolts(reaction);
        parameters.platesPure = makesMetal(reaction);
        parameters.terms.reserve(reaction.terms.size());
        parameters.reactants.reserve(reaction.terms.size());
        for (const chemistry::SpeciesTerm& term : reaction.terms) {
            parameters.terms.push_back(activityTerm(reaction, term));
            addReactant(parameters, parameters.terms.back());
        }
    }

    void addReactant(ReactionParameters& parameters, const ActivityTerm& term) const {
        const auto& key = m_catalogue.key;
        const Reaction& reaction = *parameters.reaction;
        const chemistry::Phase phase = m_catalogue.species[term.species].formula.phase;
        Reactant reactant;
        reactant.branch = term.count < 0.0 ? chemistry::Branch::Cathodic : chemistry::Branch::Anodic;
        reactant.term = term;
        reactant.electronsPerUnit = reaction.electrons / std::abs(term.count);
        if (term.species == key.oxygenGas) {
            reactant.kind = Reactant::Kind::Oxygen;
            if (reaction.supplyElectrons > 0.0) {
                reactant.electronsPerUnit = reaction.supplyElectrons;
            }
        } else if (term.species == key.hydrogenIon) {
            reactant.kind = Reactant::Kind::Acid;
        } else if (term.species == key.hydroxide) {
            reactant.kind = Reactant::Kind::Alkali;
        } else if (phase == chemistry::Phase::Gas) {
            reactant.kind = Reactant::Kind::Gas;
        } else if (phase == chemistry::Phase::Solid) {
            reactant.kind = Reactant::Kind::Solid;
            reactant.insertionSeconds = insertionSeconds(m_catalogue.species[term.species]);
        }
        const bool unlimited = (term.species == key.hydrogenIon && !reaction.needsAcid) ||
                               (term.species == key.hydroxide && !reaction.bindsHydroxide) ||
                               phase == chemistry::Phase::Liquid;
        if (unlimited) {
            return;
        }
        reactant.assumed =
            std::any_of(reaction.traces.begin(), reaction.traces.end(),
                        [&](const chemistry::Trace& trace) { return trace.species == term.species; });
        parameters.usesUpItsAcidity |=
            reactant.kind == Reactant::Kind::Acid || reactant.kind == Reactant::Kind::Alkali;
        parameters.reactants.push_back(reactant);
        if (canLack(reactant)) {
            parameters.requirements.push_back(requirement(reactant));
        }
    }

    [[nodiscard]] Requirement requirement(const Reactant& reactant) const {
        const SpeciesIndex species = reactant.term.species;
        const auto& parts = chemistry::moietiesOf(m_catalogue, species);
        return parts.empty() ? Requirement{reactant.kind, reactant.branch, species, species, 0.0}
                             : Requirement{reactant.kind, reactant.branch, species, parts.front().species,
                                           parts.front().count};
    }

    /// What is held from the start stays in reach, a trace is taken for granted, other gases are never kept.
    [[nodiscard]] bool canLack(const Reactant& reactant) const {
        const auto isHeld = [&](SpeciesIndex solid) { return m_parameters.heldSolids[solid] != 0; };
        if (reactant.kind == Reactant::Kind::Solid) {
            const auto& precursors =
                chemistry::precursorsOf(m_catalogue, reactant.branch, reactant.term.species);
            return !isHeld(reactant.term.species) &&
                   std::none_of(precursors.begin(), precursors.end(), isHeld);
        }
        return reactant.kind == Reactant::Kind::Oxygen ||
               (reactant.kind != Reactant::Kind::Gas && !reactant.assumed);
    }

    [[nodiscard]] double insertionSeconds(const chemistry::Species& species) const {
        return species.insertionSeconds
                   ? m_draw.factor({InputKind::Insertion, species.name}, *species.insertionSeconds)
                   : 0.0;
    }

    [[nodiscard]] ActivityTerm activityTerm(const Reaction& reaction,
                                            const chemistry::SpeciesTerm& term) const {
        const chemistry::Species& species = m_catalogue.species[term.species];
        const InputKey input{InputKind::Trace, species.name};
        ActivityTerm result;
        result.species = term.species;
        result.count = term.count;
        if (!species.isDissolved()) {
            result.kind = ActivityKind::Pure;
        } else if (term.species == m_catalogue.key.hydrogenIon || term.species == m_catalogue.key.hydroxide) {
            result.kind = ActivityKind::Protonic;
        } else {
            result.lnTrace = std::log(m_draw.logUniform(input, kTraceActivity, kTraceLow, kTraceHigh));
        }
        for (const chemistry::Trace& trace : reaction.traces) {
            if (trace.species == term.species) {
                result.lnOwnTrace = std::log(m_draw.logUniform(input, trace.activity, trace.low, trace.high));
                result.ownTraceBelow = trace.low;
                break;
            }
        }
        return result;
    }

    /// In an alloy its couples lie where its activity there puts them.
    [[nodiscard]] bool showsAsMetal(const Material& material, SpeciesIndex species) const {
        return m_catalogue.species[species].formula.elements.size() == 1 &&
               std::any_of(material.surfaces.begin(), material.surfaces.end(),
                           [&](const chemistry::SurfacePart& part) { return part.phase == species; });
    }

    [[nodiscard]] bool makesMetal(const Reaction& reaction) const {
        return std::any_of(reaction.terms.begin(), reaction.terms.end(),
                           [&](const chemistry::SpeciesTerm& term) {
                               return term.count > 0.0 && showsAsMetal(m_material, term.species);
                           });
    }

    [[nodiscard]] double gradeVolts(const Reaction& reaction) const {
        const auto shift = [&](const Material& material) {
            const auto uses = [&](const chemistry::CompositionPart& part) {
                const bool alloyed = showsAsMetal(material, part.species);
                return std::any_of(reaction.terms.begin(), reaction.terms.end(),
                                   [&](const chemistry::SpeciesTerm& term) {
                                       return term.species == part.species && (term.count < 0.0 || alloyed);
                                   });
            };
            const bool concerned =
                material.grade && std::any_of(material.composition.begin(), material.composition.end(), uses);
            return concerned ? m_draw.offset({InputKind::Grade, material.id}, *material.grade) : 0.0;
        };
        double volts = shift(m_material);
        for (const design::ElectrodeAdditive& additive : m_electrode.additives) {
            volts += volts == 0.0 ? shift(m_catalogue.materials[additive.material]) : 0.0;
        }
        return volts;
    }

    void takeRoutes(std::size_t index, const Face& face) {
        const Reaction& reaction = m_catalogue.reactions[index];
        for (std::size_t k = 0; k < reaction.kinetics.size(); ++k) {
            const std::vector<SpeciesIndex>& surfaces = reaction.kinetics[k].surfaces;
            if (std::find(surfaces.begin(), surfaces.end(), face.phase) != surfaces.end()) {
                m_parameters.routes.push_back(route(index, k, face));
            }
        }
    }

    [[nodiscard]] RouteParameters route(std::size_t index, std::size_t which, const Face& face) const {
        const Reaction& reaction = m_catalogue.reactions[index];
        const SurfaceKinetics& kinetics = reaction.kinetics[which];
        const auto input = [&](InputKind kind) {
            return InputKey{kind, reaction.id, static_cast<int>(which)};
        };
        const auto limit = [&](const std::optional<FactorSpread>& own) {
            return own ? m_draw.factor(input(InputKind::RateLimit), *own) * face.trueArea
                       : kMostAmpsPerM2 * face.trueArea;
        };
        RouteParameters route;
        route.reaction = index;
        route.kinetics = &kinetics;
        route.phase = face.phase;
        route.geometricAreaM2 = face.geometricArea;
        route.porousCrossover = face.porousCrossover;
        // A slope that stays as warmth comes: the energy of activation is that of the working potential, as it is measured.
        route.storedPerVolt = base::kLn10 / kinetics.slopeVolts;
        route.activationKelvin = kinetics.activationJoulesPerMole / base::kGasConstant;
        route.lnRate =
            std::log(m_draw.factor(input(InputKind::Rate), kinetics.currentDensity) * face.trueArea);
        if (kinetics.reference == chemistry::ReferenceKind::Absolute) {
            route.referenceVolts = m_draw.offset(input(InputKind::Onset), kinetics.referenceVolts);
        }
        route.beyondUnit = m_draw.offset({InputKind::BeyondMeasured, reaction.id}, {0.0, kUnit});
        for (const chemistry::SpeciesTerm& order : kinetics.orders) {
            route.orders.push_back(activityTerm(reaction, order));
        }
        route.anodicLimitAmps = limit(kinetics.anodicLimit);
        route.grownLimitAmps =
            kinetics.grownFilmLimit ? limit(kinetics.grownFilmLimit) : route.anodicLimitAmps;
        route.cathodicLimitAmps = limit(kinetics.cathodicLimit);
        return route;
    }

    const Catalogue& m_catalogue;
    const design::Cell& m_cell;
    const Electrode& m_electrode;
    const Material& m_material;
    const Draw& m_draw;
    ElectrodeParameters m_parameters;
};

} // namespace

ElectrodeParameters compileElectrode(const Catalogue& catalogue, const design::Cell& cell, Side side,
                                     const Draw& draw) {
    return Compiler(catalogue, cell, side, draw).compiled();
}

} // namespace anodex::electrode
