// src/app/session/StarterWorker.h - what to expect of each of several designs, worked out aside one after the other.
#pragma once
#include "app/session/Aside.h"
#include "app/session/Outcome.h"

#include <QObject>
#include <vector>

namespace anodex::app {

class StarterWorker : public QObject {
    Q_OBJECT
public:
    explicit StarterWorker(QObject* parent = nullptr);

    /// In place of what is being worked out. First every figure, then every range.
    void request(CatalogueHandle catalogue, std::vector<design::CellDesign> designs);

    void cancel() { m_aside.stop(); }

signals:
    /// Twice for each: without its ranges, then with them.
    void finished(int index, const anodex::app::Outcome& outcome);

private:
    Aside m_aside;
};

} // namespace anodex::app
