// src/core/electrode/Parameters.h - an electrode compiled from catalogue, design and one draw: every value a
// law needs that does not depend on what the liquid holds.
//
// Units      SI: m², A, V against SHE, J/mol, ohm metre. Factors are pure numbers about 1.
// Ownership  points into the catalogue it was compiled from, which has to live longer.
#pragma once
#include "core/chemistry/Catalogue.h"
#include "core/design/Design.h"
#include <optional>
#include <vector>

namespace anodex::electrode {

/// Of what kind a species is to a law that asks for its activity.
enum class ActivityKind {
    Dissolved, ///< Where absent a trace stands in for it.
    Protonic,  ///< Hydrogen ion or hydroxide: never absent.
    Pure       ///< Solid, solvent or gas.
};

/// One species in a quotient or a rate, with the trace that is there though nobody poured it in.
struct ActivityTerm {
    chemistry::SpeciesIndex species = 0;
    double count = 0.0; ///< Products positive; of a rate its order.
    ActivityKind kind = ActivityKind::Dissolved;
    double lnTrace = 0.0;       ///< Drawn; at most what the least soluble solid leaves counts.
    double lnOwnTrace = 0.0;    ///< The reaction's own, drawn …
    double ownTraceBelow = 0.0; ///< … which holds while the activity lies below this. 0: none.
};

/// What a branch of a reaction needs, and how it comes.
struct Reactant {
    enum class Kind {
        Dissolved, ///< Through the liquid's layer.
        Acid,      ///< Protons, free and carried by weak acids.
        Alkali,    ///< Hydroxide, free and carried by weak bases.
        Oxygen,    ///< From air, through liquid or an open face.
        Gas,       ///< Nothing stores another gas at an electrode.
        Solid      ///< In the electrode, or made from what is.
    };
    Kind kind = Kind::Dissolved;
    chemistry::Branch branch = chemistry::Branch::Anodic;
    ActivityTerm term;
    double electronsPerUnit = 0.0;
    double insertionSeconds = 0.0; ///< In which ions reach all of a solid; 0: at once.
    bool assumed = false;          ///< The reaction takes a trace of it for granted.
};

/// What a reactant has to be found in the liquid or the electrode for.
struct Requirement {
    Reactant::Kind kind = Reactant::Kind::Dissolved;
    chemistry::Branch branch = chemistry::Branch::Anodic;
    chemistry::SpeciesIndex species = 0;
    chemistry::SpeciesIndex part =
        0;                  ///< The master whose amount, in all its forms, tells of a dissolved one …
    double partsEach = 0.0; ///< … and how much of it goes into one. 0: the species itself tells.
};

struct ReactionParameters {
    const chemistry::Reaction* reaction = nullptr;
    double standardVolts = 0.0; ///< E0 at 25 °C, drawn.
    double gradeVolts = 0.0;    ///< Shift by the grade of the solid reagent this electrode holds.
    bool platesPure =
        false; ///< That is an alloyed metal: where its ion was filled in, the pure one covers it.
    std::vector<ActivityTerm> terms;
    std::vector<Reactant> reactants;       ///< Of both branches; the solvent's are never short.
    std::vector<Requirement> requirements; ///< Of the reactants, those that a state can lack.
    bool usesUpItsAcidity = false;         ///< Acid or alkali is among them.
};

/// A dissolved species that hands protons, or hydroxide, to an electrode.
struct Carrier {
    chemistry::SpeciesIndex species = 0;
    double units = 0.0; ///< Per ion or molecule of it.
};

/// One reaction on one phase of the electrode.
struct RouteParameters {
    std::size_t reaction = 0; ///< Of the catalogue, and of ElectrodeParameters::reactions.
    const chemistry::SurfaceKinetics* kinetics = nullptr;
    chemistry::SpeciesIndex phase = 0;
    double geometricAreaM2 = 0.0;  ///< That transport sees.
    double porousCrossover = 0.0;  ///< A above which a porous layer's slope doubles; 0: never.
    double storedPerVolt = 0.0;    ///< ln-slope of the stored branch, 1/V.
    double activationKelvin = 0.0; ///< Of its rate: energy of activation over R.
    double lnRate = 0.0;         ///< ln A of the stored branch at 25 °C, unit activities and its reference.
    double referenceVolts = 0.0; ///< Of an absolute reference, drawn, before its shifts.
    double beyondUnit = 0.0;     ///< Of its doubt outside the measured acidity; -1 to 1 is the 5-95 % span.
    std::vector<ActivityTerm> orders;
    double anodicLimitAmps = 0.0; ///< Of a film; infinite without one.
    double grownLimitAmps = 0.0;  ///< The same once a film of its own product is complete.
    double cathodicLimitAmps = 0.0;
};

struct ElectrodeParameters {
    design::Side side = design::Side::Negative;
    std::vector<ReactionParameters>
        reactions; ///< By the catalogue's index; without terms where no route has it.
    std::vector<RouteParameters> routes;
    std::vector<Carrier> acids;   ///< Of protons.
    std::vector<Carrier> bases;   ///< Of hydroxide.
    std::vector<char> heldSolids; ///< By species: what its surfaces and its collector are made of.
    double liquidConductivityFactor = 1.0;
    double supplyFactor = 1.0;                ///< Of everything that comes through the liquid.
    double stillOxygenFactor = 1.0;           ///< Of dissolved oxygen besides.
    double airlessOxygenFactor = 1.0;         ///< Of what is left of it where no air comes in.
    std::optional<double> breathingAmpsPerM2; ///< Film of the material's pores, drawn; none: by the layer.
    double breathingFactor = 1.0;             ///< Of the layer's own limit where the catalogue gives none.
    double pathFactor = 1.0;                  ///< Length of the paths through its pores.
    double resistivityOhmMetres = 0.0;        ///< Of its own substance.
    double throughOhmM2 = 0.0;                ///< Across its film.
    double collectorResistivityOhmMetres = 0.0;
    double collectorThroughOhmM2 = 0.0;
    double touchOhmM2 = 0.0;    ///< Between it and its collector.
    double utilisation = 1.0;   ///< Share of its reagent that gets used; at most 1.
    double platingFactor = 1.0; ///< Of the thickness the catalogue gives.
    double surfaceState = 0.0;  ///< Of the specimen; -1 to 1 is the 5-95 % span.
};

} // namespace anodex::electrode
