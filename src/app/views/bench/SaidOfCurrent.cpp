#include "app/views/bench/SaidOfCurrent.h"

#include "app/theme/Words.h"
#include "core/run/CurrentSign.h"
#include "core/run/RunAnalysis.h"
#include "wording/Quantities.h"

namespace anodex::app {

QStringList saidOfCurrent(const record::RunSamples& samples) {
    const auto analysis = run::analyseRun(samples);
    if (!analysis || (analysis->dischargeCoulombs == 0.0 && analysis->chargeCoulombs == 0.0)) {
        return {};
    }
    QStringList said{tr("drawn from the cell %1, put in %2")
                         .arg(QString::fromStdString(wording::chargeText(analysis->dischargeCoulombs)),
                              QString::fromStdString(wording::chargeText(analysis->chargeCoulombs)))};
    constexpr double kMostly = 0.8;
    const auto together = run::shareMovingTogether(samples.volts, samples.amps);
    if (together && *together > kMostly) {
        said << tr("but the voltage goes against that: is the sign the other way round?");
    }
    return said;
}

} // namespace anodex::app
