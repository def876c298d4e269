// src/core/chemistry/CompatibilityRule.h - what eats what, and what must not meet: rules as data.
//
// A rule speaks of a material (by class) in a place, in a liquid that holds what it names, within a range of
// pH and of the potential the electrode rests at. Every condition that a rule states has to hold. A rule with `beside`
// speaks of two liquids of one cell that meet, through whatever parts them.
// Units      mol/m³, V against SHE.
#pragma once
#include "core/chemistry/Species.h"
#include <limits>
#include <optional>
#include <string>
#include <vector>

namespace anodex::chemistry {

enum class Severity { Danger, Warning, Note };

/// Where the material stands. Liquid: no material, the liquid alone.
enum class Place { Electrode, Collector, Case, Separator, Liquid };

enum class Role { Either, Negative, Positive };

/// Whether the design says that the cell is to be charged. Charged: at its potential on charge.
enum class ChargeUse { Either, Charged, NotCharged };

/// At least this much of a species, in any form that turns into it as it is used up.
struct Presence {
    SpeciesIndex species = 0;
    double molPerM3 = 0.0;
};

struct LiquidCondition {
    double lowestPh = -std::numeric_limits<double>::infinity();
    double highestPh = std::numeric_limits<double>::infinity();
    std::vector<std::vector<Presence>> together; ///< Of each group at least one is present.
};

struct CompatibilityRule {
    std::string id; ///< The finding's stable code.
    std::string title;
    std::string reason; ///< "{}" stands for the material's name.
    std::string remedy;
    Severity severity = Severity::Note;
    Place place = Place::Liquid;
    Role role = Role::Either;
    std::vector<std::string> classes; ///< Its id, one of its classes, or a solid it holds. Empty: any.
    LiquidCondition liquid;
    std::optional<LiquidCondition> beside; ///< What the other liquid is.
    double aboveVolts = -std::numeric_limits<double>::infinity();
    double belowVolts = std::numeric_limits<double>::infinity();
    ChargeUse use = ChargeUse::Either;
    std::vector<std::string> sources;
};

} // namespace anodex::chemistry
