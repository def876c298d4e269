// src/app/views/couple/ChargeLadder.h - the couple on charge: columns with their roles traded, what the
// current does on each, the window, and which clip goes where.
//
// Scale      volts against the standard hydrogen electrode, as on the ladder for discharge. The pale band
//            is the window, from the slowest to the fastest good charge; the thick bar is where the electrode
//            sits at the current shown. A full bar is kept, a hatched one is gas or loss.
#pragma once
#include "app/session/LatestWork.h"
#include "app/session/Workbench.h"
#include "app/theme/Theme.h"
#include "app/widgets/picture/Picture.h"
#include "core/charge/Charge.h"

namespace anodex::app {

class ChargeLadder : public Picture {
    Q_OBJECT
public:
    ChargeLadder(Workbench& bench, const Theme& theme, QWidget* parent);

    /// 0 to 1 over what can be chosen, by equal factors.
    void setShare(double share);
    [[nodiscard]] double share() const { return m_share.value_or(0.0); }
    /// At the current the design plans, or at a gentle one.
    void startAnew();
    [[nodiscard]] double amps() const;
    /// Absent when the design cannot be used or the picture is out of sight.
    [[nodiscard]] const std::optional<charge::Charging>& charging() const { return m_charging; }

signals:
    void rebuilt();

private:
    struct Rung {
        design::Side side = design::Side::Negative;
        charge::ChargeReaction reaction;
        double volts = 0.0;
        double labelY = 0.0;
        double share = 0.0; ///< Of the current.
    };

    void beginAgain();
    void rebuild();
    void compute();
    /// The voltage's range, found aside.
    void seekRange();
    void draw();
    [[nodiscard]] std::pair<double, double> ampsRange() const;
    [[nodiscard]] std::vector<Rung> rungsOf(design::Side side) const;
    void chooseScale(const std::vector<Rung>& rungs);
    void addRung(std::vector<PictureItem>& items, const Rung& rung) const;
    void addColumn(std::vector<PictureItem>& items, design::Side side) const;
    void addSupply(std::vector<PictureItem>& items) const;
    void addAnswer(std::vector<PictureItem>& items) const;
    void paintAxis(QPainter& painter) const;
    [[nodiscard]] bool isPlus(design::Side side) const;
    /// Which way reactions are driven there.
    [[nodiscard]] chemistry::Branch branchAt(design::Side side) const {
        return isPlus(side) ? chemistry::Branch::Anodic : chemistry::Branch::Cathodic;
    }
    [[nodiscard]] QString instead() const;
    [[nodiscard]] double yOf(double volts) const;
    [[nodiscard]] double columnX(design::Side side) const;
    [[nodiscard]] QColor colourOf(design::Side side) const;
    [[nodiscard]] double top() const;
    [[nodiscard]] double barHalf() const;

    Workbench& m_bench;
    const Theme& m_theme;
    std::optional<charge::Charging> m_charging; ///< `asked` at the current shown.
    double m_low = -1.0;
    double m_high = 1.0;
    /// The same without a current: it gives the slider its span, and holds while only the slider moves.
    std::optional<charge::Charging> m_unasked;
    std::optional<double> m_share;
    std::optional<base::Interval> m_range; ///< Of the voltage on charge; arrives a moment later.
    LatestWork m_work;
};

} // namespace anodex::app
