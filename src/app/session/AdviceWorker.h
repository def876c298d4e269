// src/app/session/AdviceWorker.h - what would help the design most, found aside: the latest request wins.
#pragma once
#include "core/shelf/Changes.h"
#include <QObject>
#include <QTimer>
#include <optional>
#include <thread>

namespace anodex::app {

class AdviceWorker : public QObject {
    Q_OBJECT
public:
    explicit AdviceWorker(const chemistry::Catalogue& catalogue, QObject* parent = nullptr);
    ~AdviceWorker() override;

    /// Replaces whatever is being sought.
    void request(const cell::CellDesign& design, shelf::RankBy by);

signals:
    void finished(const anodex::cell::CellDesign& design, const std::vector<anodex::shelf::Change>& changes);

private:
    struct Wanted {
        cell::CellDesign design;
        shelf::RankBy by = shelf::RankBy::SteadyPower;
    };

    void start();

    const chemistry::Catalogue& m_catalogue;
    QTimer m_pause;
    std::optional<Wanted> m_wanted;
    std::jthread m_thread;
};

} // namespace anodex::app
