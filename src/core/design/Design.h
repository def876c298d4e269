// src/core/design/Design.h - one cell as its builder describes it: the contract's cell file as plain values.
//
// Entries of the catalogue are kept as they were written and under the id they were found by (Identify.h), so a
// design survives a catalogue that calls them otherwise or does not know them. An absent optional means "not stated": the default is chosen by
// resolve().
//
// Units      SI, temperature in K; amounts keep the unit they were given in.
#pragma once
#include "core/design/Named.h"
#include <optional>
#include <string>
#include <vector>

namespace anodex::design {

inline constexpr double kColdestKelvin = 248.15; // 25 °C below freezing; colder, no law here was measured
inline constexpr double kHottestKelvin = 333.15; // 60 °C, the same

enum class Side { Negative, Positive };
[[nodiscard]] constexpr Side otherSide(Side side) {
    return side == Side::Negative ? Side::Positive : Side::Negative;
}

enum class Air { None, Still, Breathing };

enum class AmountUnit {
    MassKg,
    VolumeM3,
    Moles,
    MolPerM3,    ///< Of the finished liquid.
    MolPerKg,    ///< Of solvent.
    MassFraction ///< Of the finished liquid, of the substance as named.
};

struct Amount {
    AmountUnit unit = AmountUnit::MassKg;
    double value = 0.0;
    bool operator==(const Amount&) const = default;
};

struct SoluteDesign {
    Named substance;
    Amount amount;
    bool operator==(const SoluteDesign&) const = default;
};

enum class LiquidBasis { SolventVolume, SolventMass, FinishedVolume };

struct Gel {
    std::string agent;
    double massFraction = 0.0;
    bool operator==(const Gel&) const = default;
};

struct LiquidDesign {
    Named ready; ///< A ready-made liquid; empty when made from solvent and solutes.
    LiquidBasis basis = LiquidBasis::SolventVolume;
    double basisValue = 1e-4; ///< m³ or kg, as the basis says. > 0.
    std::vector<SoluteDesign> solutes;
    std::optional<Gel> gel;
    std::optional<double> measuredPh;
    std::optional<double> measuredDensity;      ///< kg/m³
    std::optional<double> measuredConductivity; ///< S/m
    bool operator==(const LiquidDesign&) const = default;
};

struct CollectorDesign {
    Named material;
    std::optional<double> resistanceOhm;
    bool operator==(const CollectorDesign&) const = default;
};

struct AdditiveDesign {
    Named material;
    double massKg = 0.0;
    bool operator==(const AdditiveDesign&) const = default;
};

struct ElectrodeDesign {
    Named material;
    double wettedAreaM2 = 1e-3; ///< Geometric. > 0.
    std::optional<double> massKg;
    std::optional<double> measuredMassKg;
    std::optional<double> thicknessMetres;
    std::optional<CollectorDesign> collector;
    std::optional<Air> air;
    std::optional<double> openShare;   ///< Of the breathing face that holes leave open. 0 to 1.
    std::optional<double> filledPores; ///< Share of a porous layer's pores that liquid fills. 0 to 1.
    std::optional<double> charged;     ///< Share of a plate's reagent that is charged. 0 to 1.
    std::vector<AdditiveDesign> additives;
    std::optional<double> measuredResistanceOhm;
    bool operator==(const ElectrodeDesign&) const = default;
};

/// Another material in its place; what was weighed or measured belonged to the old one.
inline void makeOf(ElectrodeDesign& electrode, Named material) {
    electrode.material = std::move(material);
    electrode.massKg.reset();
    electrode.measuredMassKg.reset();
    electrode.thicknessMetres.reset();
    electrode.measuredResistanceOhm.reset();
    electrode.charged.reset();
}

struct SeparatorDesign {
    Named material;
    std::optional<int> layers;
    std::optional<double> thicknessMetres; ///< Of one layer.
    bool operator==(const SeparatorDesign&) const = default;
};

/// How the builder means to charge it; at least one is stated.
struct ChargeDesign {
    std::optional<double> amps;  ///< The supply's current, > 0.
    std::optional<double> volts; ///< The voltage it stops at, or holds. > 0.
    bool operator==(const ChargeDesign&) const = default;
};

/// Where it stands while it works or is charged.
struct PlaceDesign {
    bool outdoors = false;
    bool flame = false; ///< A flame, a spark or a cigarette within a few metres.
    std::optional<double> roomM3;
    std::optional<double> airChangesPerSecond; ///< Of the room.
    std::optional<double> boxM3;               ///< A box or cupboard round the cell.
    bool operator==(const PlaceDesign&) const = default;
};

struct StringDesign {
    int series = 1;
    int parallel = 1;
    bool oneLiquid = false; ///< The cells stand in one liquid, or in the same soil.
    bool operator==(const StringDesign&) const = default;
};

/// How it is put together. It decides how the cell is drawn; the model goes by sizes and materials alone.
enum class Construction { Unstated, Beaker, Jar, JarUnderOil, Pouch, Tray, Rolled, Rods, Felt, Flow, Paper };

struct CellDesign {
    std::string name;
    std::string family;
    Construction construction = Construction::Unstated;
    std::optional<double> temperatureKelvin;
    ElectrodeDesign negative;
    ElectrodeDesign positive;
    LiquidDesign liquid;                        ///< The only liquid, or the negative side's.
    std::optional<LiquidDesign> positiveLiquid; ///< Present: two liquids.
    std::optional<SeparatorDesign> separator;
    std::optional<double> gapMetres;
    std::optional<double> contactOhm;
    bool stirred = false; ///< The liquid is moved: stirred, pumped, rocked.
    Named caseMaterial;
    bool closed = false;               ///< The case has a tight lid.
    std::optional<double> headSpaceM3; ///< Of gas above the liquid.
    std::optional<double> insideM2;    ///< Of the vessel, level; tells where liquids in layers meet.
    std::optional<ChargeDesign> charge;
    PlaceDesign place;
    StringDesign string;
    std::optional<double> measuredResistanceOhm;
    std::optional<double> measuredOpenCircuitVolts;
    bool operator==(const CellDesign&) const = default;

    [[nodiscard]] const ElectrodeDesign& electrode(Side side) const {
        return side == Side::Negative ? negative : positive;
    }
    [[nodiscard]] ElectrodeDesign& electrode(Side side) {
        return side == Side::Negative ? negative : positive;
    }
    [[nodiscard]] const LiquidDesign& liquidAt(Side side) const {
        return side == Side::Positive && positiveLiquid ? *positiveLiquid : liquid;
    }
    [[nodiscard]] LiquidDesign& liquidAt(Side side) {
        return side == Side::Positive && positiveLiquid ? *positiveLiquid : liquid;
    }
};

} // namespace anodex::design
