// src/core/electrode/FacedElectrode.h - an electrode together with the liquid at its face.
//
// Law        hydroxide made by all routes = hydroxide carried off through the layer, at the current asked for. Both are
//            known at acidities a quarter of a pH apart; between two of them the routes' laws are mixed in
//            proportion. Which films hold is what the liquid itself decided. Of several faces that balance the
//            one nearest to what stood there before is taken; a potential never falls while the current rises. Rising
//            gas carries off hydroxide, but no more than comes of its own making. A load that has been on for t seconds finds layers as deep
//            as diffusion reached, and its double layer adds C (E - E0) / t: one implicit step in time. `first` is
//            t = 5 s, `settled` the limit of long times.
// Units      A (anodic positive), V against SHE.
// Ownership  refers to what the situation refers to.
// Threads    one object serves one thread.
#pragma once
#include "core/electrode/ElectrodeModel.h"
#include <map>
#include <optional>
#include <vector>

namespace anodex::electrode {

/// Where an electrode sits and what its face is like.
struct Seat {
    double volts = 0.0;
    int step = 0;             ///< The lower of the two acidities that the face lies between …
    double share = 0.0;       ///< … and how far it is on the way to the next.
    double voltsPerAmp = 0.0; ///< The face goes along; endless where nothing answers. >= 0.
    double stepsPerAmp = 0.0; ///< How the face goes along.
};

/// One route at a seat.
struct Partial {
    Route route; ///< With the law of the face, all else as at the nearer of the two acidities.
    double amps = 0.0;
};

class FacedElectrode {
public:
    /// With settled layers, or as deep as diffusion reaches in `seconds`; `acidityShift` is added to the pH that
    /// decides which films hold.
    FacedElectrode(const Situation& here, double seconds, double acidityShift = 0.0);

    /// While it passes `amps` (anodic positive).
    [[nodiscard]] Seat seatAt(double amps) const;
    [[nodiscard]] double potentialAt(double amps) const { return seatAt(amps).volts; }
    /// The same with a face that stays what it was before: where a search may begin.
    [[nodiscard]] Seat heldSeatAt(double amps) const;
    /// All its routes there, in the same order everywhere.
    [[nodiscard]] std::vector<Partial> partialsAt(const Seat& seat) const;
    /// pH at the face.
    [[nodiscard]] double facePh(const Seat& seat) const;
    /// What a load of `seconds` finds that begins at this rest; the double layer may stand elsewhere.
    [[nodiscard]] FacedElectrode loaded(double seconds, const Seat& rest, double doubleLayerVolts) const;

private:
    /// The electrode at one acidity.
    struct Point {
        ElectrodeModel model;
        double drive = 0.0; ///< Of hydroxide, mol/(m s).
    };
    /// What leaves its leads and what hydroxide is carried off over what is made, at some seat.
    struct Balance {
        base::Sloped amps;
        double ampsPerShare = 0.0;
        double excess = 0.0; ///< A; below 0 the face is more alkaline.
        double excessPerVolt = 0.0;
        double excessPerShare = 0.0;
    };

    /// Where it was found to sit.
    struct Known {
        double amps = 0.0;
        Seat seat;
    };

    [[nodiscard]] const Point& point(int step) const;
    using KnownAt = std::vector<Known>::const_iterator;
    [[nodiscard]] KnownAt firstFrom(double amps) const;
    [[nodiscard]] std::optional<Seat> guessAt(double amps) const;
    [[nodiscard]] static Seat between(const Known& low, const Known& high, double amps);
    [[nodiscard]] Seat foundAt(double amps) const;
    [[nodiscard]] Balance balanceAt(const Seat& seat) const;
    [[nodiscard]] Flows flowsAt(const Seat& seat) const;
    [[nodiscard]] Moving carriedBy(const Flows& flows) const;
    [[nodiscard]] base::Sloped withDoubleLayer(const base::Sloped& routes, double volts) const;
    [[nodiscard]] Seat atFace(int step, double share, double amps, double tolerance) const;
    [[nodiscard]] std::optional<Seat> nearBy(Seat seat, double amps) const;
    [[nodiscard]] bool fitsIn(const Seat& seat, double amps) const;
    [[nodiscard]] Seat searched(double amps) const;
    [[nodiscard]] Seat besideKnown(double amps) const;

    Situation m_here;
    double m_seconds;
    double m_acidityShift;
    const liquid::Titration* m_titration;
    double m_ampsPerDrive;       ///< A of hydroxide for each mol/(m s) …
    double m_ampsPerDriveAndGas; ///< … and √A of gas.
    double m_unmovedAmps = 0.0;  ///< Of hydroxide, which leave the face as it was.
    Seat m_before; ///< What the face was like: the liquid, or at the rest that a load begins from.
    double m_hydroxideOffset = 0.0;
    double m_capacitancePerSecond = 0.0; ///< A/V
    double m_doubleLayerVolts = 0.0;
    double m_residual = 0.0; ///< Net current of the routes at rest, taken as already balanced.
    mutable std::map<int, Point> m_points;
    mutable Seat m_last;
    mutable std::vector<Known> m_known; ///< By amps.
};

} // namespace anodex::electrode
