// src/app/session/DoubtWorker.h - ranges computed aside: the latest request wins, older ones are stopped.
#pragma once
#include "app/session/LatestWork.h"
#include "app/session/Outcome.h"
#include <QObject>
#include <QString>

namespace anodex::app {

class DoubtWorker : public QObject {
    Q_OBJECT
public:
    explicit DoubtWorker(QObject* parent = nullptr);

    /// Replaces whatever is being computed. The answer carries `ticket`.
    void request(const Outcome& outcome, int ticket);

signals:
    void finished(int ticket, const anodex::cell::Doubt& doubt);
    void faulted(const QString& law); ///< The model could not work the ranges out.

private:
    LatestWork m_work;
};

} // namespace anodex::app
