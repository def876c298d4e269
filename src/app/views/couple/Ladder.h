// src/app/views/couple/Ladder.h - the potential ladder: which reaction runs on each side, and the voltage
// between.
//
// Scale      volts against the standard hydrogen electrode. A rung is a reaction's own potential; a hatched
//            rung is blocked, with the reason on it; the thick bar is where the electrode settles. The first
//            bracket is the open circuit, the second the same distance under load, each loss a named step.
#pragma once
#include "app/session/Workbench.h"
#include "app/theme/Theme.h"
#include "app/widgets/picture/Picture.h"
#include "core/load/Load.h"
#include <utility>

namespace anodex::app {

class Ladder : public Picture {
    Q_OBJECT
public:
    Ladder(Workbench& bench, const Theme& theme, QWidget* parent);

    void setLoad(const load::Load& load);
    /// Five seconds after closing, or once everything has settled.
    void setMoment(electrode::Moment moment);
    [[nodiscard]] electrode::Moment moment() const { return m_moment; }
    /// What the load shown draws at the moment shown, signed as the cell; nothing where the cell cannot carry it.
    [[nodiscard]] std::optional<double> loadAmps() const { return m_loadAmps; }

signals:
    void numberAsked(const anodex::explain::QuantityKey& key, const QPoint& at);
    void materialAsked(anodex::design::Side side, const QPoint& at);
    void rebuilt();

private:
    struct Rung {
        design::Side side = design::Side::Negative;
        std::size_t index = 0;
        double volts = 0.0;
        double labelY = 0.0;
        QString name;
        QString equation;
        QString why; ///< Why it is blocked; empty when it runs.
        bool working = false;
        bool told = true;       ///< Its name stands beside it; where room is short, the tooltip has to do.
        bool withSecond = true; ///< With its equation, or why it is blocked, on a second line.
        bool nameBelow = false; ///< Its name there instead, where the label is narrow.
    };

    void rebuild();
    void findLoad();
    void chooseScale();
    [[nodiscard]] std::vector<Rung> rungsOf(design::Side side) const;
    /// Chooses which rungs are told in words when not all fit.
    void tellWhatFits(std::vector<Rung>& rungs, double room) const;
    void spreadLabels(std::vector<Rung>& rungs) const;
    void addRung(std::vector<PictureItem>& items, const Rung& rung) const;
    void addSettled(std::vector<PictureItem>& items, design::Side side) const;
    void addBracket(std::vector<PictureItem>& items) const;
    void addLoaded(std::vector<PictureItem>& items) const;
    void addFoot(std::vector<PictureItem>& items, design::Side side) const;
    void paintAxis(QPainter& painter) const;
    [[nodiscard]] double yOf(double volts) const;
    /// From where to where the words of a side may stand, px.
    [[nodiscard]] std::pair<double, double> labelSpan(design::Side side) const;
    [[nodiscard]] double columnX(design::Side side) const;
    [[nodiscard]] QColor colourOf(design::Side side) const;
    [[nodiscard]] double bottom() const;
    [[nodiscard]] double barHalf() const;

    Workbench& m_bench;
    const Theme& m_theme;
    double m_low = -1.0;
    double m_high = 1.0;
    load::Load m_load{load::Load::Kind::Share, 0.25, {}};
    std::optional<double> m_loadAmps;
    electrode::Moment m_moment = electrode::Moment::First;
};

} // namespace anodex::app
