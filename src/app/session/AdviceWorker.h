// src/app/session/AdviceWorker.h - what would help the design most, found aside: the latest request wins.
#pragma once
#include "app/session/CatalogueHandle.h"
#include "app/session/LatestWork.h"
#include "core/shelf/Changes.h"
#include <QObject>

namespace anodex::app {

class AdviceWorker : public QObject {
    Q_OBJECT
public:
    explicit AdviceWorker(QObject* parent = nullptr);

    /// Replaces whatever is being sought.
    void request(CatalogueHandle catalogue, const design::CellDesign& design,
                 const shelf::HelpOptions& options);

signals:
    void finished(const anodex::design::CellDesign& design,
                  const std::vector<anodex::shelf::Change>& changes);

private:
    LatestWork m_work;
};

} // namespace anodex::app
