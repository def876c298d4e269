// src/core/electrode/Transport.h - how fast reactants reach an electrode.
//
// Law        i_L = n F D c / δ for each dissolved reactant, combined as resistances in series. The layer is
//            0.5 mm in still liquid, 0.1 mm stirred, never wider than the gap, and at first only as deep as
//            diffusion reaches, √(πDt), with what fills the pores used first; `first` is read after 5 s,
//            `settled` is the limit of long times. Oxygen from an
//            open face has a limit of its own (PorousLayer.h). A solid that takes ions up gives n F N/τ at long times,
//            and √(τ/πt) times as much while they have not gone deep.
// Units      A/m² of geometric area.
// Source     Nernst layer: Bard & Faulkner, Electrochemical Methods, 2nd ed., ch. 1 and 5.
#pragma once
#include "core/electrode/Situation.h"
#include <optional>

namespace anodex::electrode {

enum class Moment { First, Settled };

inline constexpr double kStillLayerMetres = 0.0005;   // from memory
inline constexpr double kStirredLayerMetres = 0.0001; // from memory
inline constexpr double kFirstMomentSeconds = 5.0;    // until a reading is taken (common practice, no source)

/// How long the load has been on when a moment is read; endless for settled layers.
[[nodiscard]] double secondsOf(Moment moment);

/// What reaches an electrode `seconds` after the load came on.
class Supplies {
public:
    Supplies(const Situation& here, double seconds);

    /// Of the reaction's oxidation (anodic) and reduction; infinity when only solids and solvent take part.
    struct Limits {
        double anodic = 0.0;
        double cathodic = 0.0;
    };
    [[nodiscard]] Limits limits(const ReactionParameters& reaction);
    /// What the reaction's reduction draws of solids that take ions up, A; infinity where none does.
    [[nodiscard]] double inserted(const ReactionParameters& reaction) const;
    /// Of an ion that leaves a face saturated with it, A/m² for each electron.
    [[nodiscard]] double carriedOff(chemistry::SpeciesIndex species, const liquid::Solution& face) const;
    /// A/m² for each mol/(m s) of difference in Σ D c.
    [[nodiscard]] double perDrive() const;
    /// The same that rising gas adds, for each √(A/m²) of it: bubbles stir a layer of 67 µm at 100 A/m² of hydrogen
    /// (Vogt, Electrochim. Acta 25, 527 (1980), from memory).
    [[nodiscard]] double perDriveOfGas() const;

private:
    [[nodiscard]] double flux(chemistry::SpeciesIndex species, double concentration) const;
    [[nodiscard]] double carried(const std::vector<Carrier>& carriers, std::optional<double>& known) const;
    [[nodiscard]] double oxygen(double electrons) const;
    [[nodiscard]] double limitOf(const Reactant& reactant);

    const Situation& m_here;
    double m_seconds;
    double m_warmth;         ///< Of every diffusivity, over 25 °C.
    double m_undisturbed;    ///< Layer that stirring and the gap leave, m.
    double m_obstruction;    ///< Of the paths in it.
    double m_poresPerSecond; ///< m/s: what fills the pores is used before any has to come from outside.
    std::optional<double> m_protons;   ///< Worked out when first asked for.
    std::optional<double> m_hydroxide; ///< The same.
};

/// Whether each branch of a reaction lacks a reactant altogether.
struct Absences {
    bool anodic = false;
    bool cathodic = false;
    /// No reagent and no product of the couple is there: it is no news to anyone.
    [[nodiscard]] bool ofBoth() const { return anodic && cathodic; }
};

/// What there is at all for an electrode's reactions: dissolved in its liquid, in the electrode, or made from a solid
/// that is. It is asked for every reaction at every state.
class Stock {
public:
    explicit Stock(const Situation& here);

    [[nodiscard]] Absences absences(const ReactionParameters& reaction) const;
    /// The first reactant of the branch that is absent altogether, if one is.
    [[nodiscard]] std::optional<chemistry::SpeciesIndex> lacking(const ReactionParameters& reaction,
                                                                 chemistry::Branch branch) const;

private:
    [[nodiscard]] bool lacks(const Requirement& required) const;

    const Situation& m_here;
    const liquid::Solution& m_solution;
    double m_leastMolality; ///< mol/kg that count as being there.
};

/// m²/s at a temperature.
[[nodiscard]] double diffusivity(const chemistry::Species& species, double temperatureKelvin);

} // namespace anodex::electrode
