// src/app/session/ScreenWorker.h - the shelf screened aside, streaming in: the latest request wins.
#pragma once
#include "app/session/CatalogueHandle.h"
#include "app/session/LatestWork.h"
#include "core/shelf/Screening.h"
#include <QObject>
#include <QString>

namespace anodex::app {

/// One candidate, ready to be shown and to be made a design.
struct ScreenedCell {
    design::CellDesign design;
    double figure = 0.0;
    double openCircuitVolts = 0.0;
    double maximumWatts = 0.0;
    std::optional<findings::Finding> worst; ///< Arrives with the last answer.
    QString why;                            ///< Same.
    std::vector<ScreenedCell> others;       ///< The same electrodes in other liquids, best first.
};

struct ScreenState {
    std::vector<ScreenedCell> best;
    std::size_t tried = 0;
    std::size_t all = 0;      ///< That are tried.
    std::size_t possible = 0; ///< On this shelf.
    bool finished = false;
    QString problem; ///< In one line, when the shelf cannot be used.
};

class ScreenWorker : public QObject {
    Q_OBJECT
public:
    explicit ScreenWorker(QObject* parent = nullptr);

    void request(CatalogueHandle catalogue, const shelf::Shelf& shelf, shelf::RankBy by);
    void cancel() { m_work.cancel(); }

signals:
    void stateChanged(const anodex::app::ScreenState& state);

private:
    LatestWork m_work;
};

} // namespace anodex::app
