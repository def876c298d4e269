// tests/app/Importing.h - a run imported and awaited.
#pragma once
#include "app/session/Workbench.h"

#include <QEventLoop>

namespace anodex::app {

inline bool importRun(Workbench& bench, const QString& name, record::Millis started,
                      const record::RunSamples& samples) {
    bool stored = false;
    QEventLoop loop;
    QObject::connect(&bench.runImport(), &RunImport::finished, &loop,
                     [&](const record::RunHeader& /*run*/, bool done) {
                         stored = done;
                         loop.quit();
                     });
    const bool begun = bench.importRun(name, started, std::make_shared<record::RunSamples>(samples));
    if (begun && bench.runImport().isBusy()) {
        loop.exec();
    }
    return stored;
}

} // namespace anodex::app
