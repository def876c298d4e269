#include "app/views/cell/AirChoices.h"

#include "app/theme/Words.h"
#include "app/widgets/Listed.h"
#include "wording/Quantities.h"

#include <cmath>

namespace anodex::app {
namespace {

QString percent(double share) {
    return QString::fromStdString(wording::numberText(share * 100.0, 2)) + QStringLiteral("\u00A0%");
}

bool near(double one, double other) {
    return std::abs(one - other) < 1e-6;
}

AirChoice airChoice(const QString& words, const design::Electrode& electrode, design::Air air,
                    double openShare) {
    const bool breathes = air == design::Air::Breathing;
    return {words, electrode.air == air && (!breathes || near(electrode.openShare, openShare)),
            [=](design::ElectrodeDesign& design) {
                design.air = air;
                design.openShare = breathes && openShare < 1.0 ? std::optional(openShare) : std::nullopt;
            }};
}

AirChoice wetChoice(const QString& words, const design::Electrode& electrode, double filled,
                    std::optional<double> stated) {
    return {words, near(electrode.filledPores, filled),
            [=](design::ElectrodeDesign& design) { design.filledPores = stated; }};
}

} // namespace

QString airWords(const chemistry::Catalogue& catalogue, const design::Electrode& electrode) {
    QString words = electrode.air == design::Air::None    ? tr("no air")
                    : electrode.air == design::Air::Still ? tr("still air")
                    : electrode.openShare < 1.0
                        ? tr("breathing through %1 holes").arg(percent(electrode.openShare))
                        : tr("breathing");
    const chemistry::Material& material = catalogue.materials[electrode.material];
    if (material.porosity > 0.0 && !near(electrode.filledPores, material.usualFilledPores)) {
        words = listed({words, tr("pores %1 full").arg(percent(electrode.filledPores))});
    }
    return words;
}

std::vector<std::vector<AirChoice>> airChoices(const chemistry::Catalogue& catalogue,
                                               const design::Electrode& electrode) {
    std::vector<AirChoice> air = {
        airChoice(tr("No air reaches it"), electrode, design::Air::None, 1.0),
        airChoice(tr("Wetted, still air"), electrode, design::Air::Still, 1.0),
        airChoice(tr("One face open to the air"), electrode, design::Air::Breathing, 1.0)};
    std::vector<double> shares = {0.2, 0.05, 0.01};
    const bool own = electrode.openShare < 1.0 && !near(electrode.openShare, shares[0]) &&
                     !near(electrode.openShare, shares[1]) && !near(electrode.openShare, shares[2]);
    if (own) {
        shares.push_back(electrode.openShare);
    }
    for (const double share : shares) {
        air.push_back(airChoice(tr("Behind a wall with holes in %1 of it").arg(percent(share)), electrode,
                                design::Air::Breathing, share));
    }
    std::vector<std::vector<AirChoice>> groups = {std::move(air)};
    const chemistry::Material& material = catalogue.materials[electrode.material];
    if (material.porosity > 0.0) {
        const double usual = material.usualFilledPores;
        std::vector<AirChoice> wet = {
            wetChoice(tr("Pores %1 filled with liquid, as usual").arg(percent(usual)), electrode, usual,
                      std::nullopt),
            wetChoice(tr("Pores half filled: damp"), electrode, 0.5, 0.5)};
        if (!near(usual, 1.0)) {
            wet.push_back(wetChoice(tr("Pores full: soaked"), electrode, 1.0, 1.0));
        }
        groups.push_back(std::move(wet));
    }
    return groups;
}

} // namespace anodex::app
