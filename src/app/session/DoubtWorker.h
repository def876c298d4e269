// src/app/session/DoubtWorker.h - ranges computed aside: the latest request wins, older ones are stopped.
#pragma once
#include "app/session/LatestWork.h"
#include "app/session/Outcome.h"
#include <QObject>

namespace anodex::app {

class DoubtWorker : public QObject {
    Q_OBJECT
public:
    explicit DoubtWorker(QObject* parent = nullptr);

    /// Replaces whatever is being computed. The answer carries `ticket`.
    void request(const chemistry::Catalogue& catalogue, const Outcome& outcome, int ticket);

signals:
    void finished(int ticket, const anodex::cell::Doubt& doubt);

private:
    LatestWork m_work;
};

} // namespace anodex::app
