// src/app/session/DoubtWorker.h - ranges computed aside: the latest request wins, older ones are stopped.
#pragma once
#include "app/session/Outcome.h"
#include <QObject>
#include <QTimer>
#include <optional>
#include <thread>

namespace anodex::app {

class DoubtWorker : public QObject {
    Q_OBJECT
public:
    explicit DoubtWorker(const chemistry::Catalogue& catalogue, QObject* parent = nullptr);
    ~DoubtWorker() override;

    /// Replaces whatever is being computed. The answer carries `ticket`.
    void request(const Outcome& outcome, int ticket);

signals:
    void finished(int ticket, const anodex::cell::Doubt& doubt);

private:
    struct Wanted {
        cell::Cell cell;
        cell::Evaluation evaluation;
        int ticket = 0;
    };

    void start();

    const chemistry::Catalogue& m_catalogue;
    QTimer m_pause;
    std::optional<Wanted> m_wanted;
    std::jthread m_thread;
};

} // namespace anodex::app
