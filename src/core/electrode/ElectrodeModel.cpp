#include "core/electrode/ElectrodeModel.h"

#include "core/base/Constants.h"
#include "core/base/RootFinding.h"
#include "core/electrode/Nernst.h"
#include "core/electrode/PorousLayer.h"

#include <algorithm>
#include <cmath>

namespace anodex::electrode {
namespace {

using chemistry::Branch;
using chemistry::Catalogue;
using chemistry::Reaction;
using chemistry::ReferenceKind;
using chemistry::SpeciesIndex;
using chemistry::SpeciesTerm;
using chemistry::SurfaceKinetics;

/// A phase exposed to the liquid: its true area, and the geometric area that transport sees.
struct Face {
    SpeciesIndex phase = 0;
    double trueArea = 0.0;
    double geometricArea = 0.0;
    double porousCrossover = 0.0; // A
};

std::vector<Face> facesOf(const Catalogue& catalogue, const design::Electrode& electrode, const Draw& draw) {
    std::vector<Face> faces;
    const auto add = [&](const chemistry::Material& material, double trueArea, double geometricArea) {
        for (const chemistry::SurfacePart& part : material.surfaces) {
            faces.push_back({part.phase, part.share * trueArea, part.share * geometricArea,
                             part.share * material.porousCrossover * geometricArea});
        }
    };
    const auto roughness = [&](const chemistry::Material& material) {
        return draw.factor("surface of " + material.name, material.roughness);
    };
    const chemistry::Material& material = catalogue.materials[electrode.material];
    add(material, electrode.areaM2 * roughness(material), electrode.areaM2);
    for (const design::ElectrodeAdditive& additive : electrode.additives) {
        const chemistry::Material& powder = catalogue.materials[additive.material];
        add(powder, std::max(additive.massKg * powder.specificAreaM2PerKg, 1e-9), electrode.areaM2);
    }
    if (electrode.collector && material.porosity > 0.0) {
        // Liquid that fills a porous electrode wets what lies in or behind it.
        const chemistry::Material& collector = catalogue.materials[*electrode.collector];
        const double wetted = electrode.areaM2 * collector.wettedShareAsCollector;
        if (wetted > 0.0) {
            add(collector, wetted * roughness(collector), wetted);
        }
    }
    return faces;
}

class RouteBuilder {
public:
    RouteBuilder(const TransportContext& context, std::size_t reactionIndex, double acidityShift)
        : m_context(context), m_acidityShift(acidityShift), m_index(reactionIndex),
          m_reaction(context.catalogue.reactions[reactionIndex]),
          m_equilibrium(nernstVolts(context.catalogue, context.cell, context.side, m_reaction, context.draw)),
          m_anodicAbsent(absentReactant(context, m_reaction, Branch::Anodic).has_value()),
          m_cathodicAbsent(absentReactant(context, m_reaction, Branch::Cathodic).has_value()) {}

    [[nodiscard]] Route build(const Face& face, const SurfaceKinetics& kinetics, std::size_t which) const {
        Route route;
        route.reaction = m_index;
        route.phase = face.phase;
        const double temperature = m_context.cell.temperatureKelvin;
        const bool storedAnodic = kinetics.storedBranch == Branch::Anodic;
        const double stored = base::kLn10 / (kinetics.slopeVolts * temperature / base::kStandardTemperature);
        const double both = base::kLn10 * m_reaction.electrons /
                            (m_reaction.rateDeterminingRepeats * base::nernstDecadeVolts(temperature));
        const double other = std::max(both - stored, 0.05 * both);
        RateLaw& law = route.law;
        law.equilibriumVolts = m_equilibrium;
        law.anodicPerVolt = storedAnodic ? stored : other;
        law.cathodicPerVolt = storedAnodic ? other : stored;
        law.lnExchange = lnExchange(face, kinetics, which, stored, storedAnodic);
        law.anodicLimit = limit(face, ownAnodicLimit(kinetics), Branch::Anodic, which);
        law.cathodicLimit = limit(face, kinetics.cathodicLimit, Branch::Cathodic, which);
        // What nobody put in cannot be used up, though its build-up at the electrode sets the potential.
        law.anodicOnly = (kinetics.oneWay && storedAnodic) || m_cathodicAbsent;
        law.cathodicOnly = (kinetics.oneWay && !storedAnodic) || m_anodicAbsent;
        law.porousCrossover = face.porousCrossover;
        law.usefulShare = 1.0 - kinetics.hydrogenShare;
        block(route, kinetics);
        return route;
    }

    /// Neither side of the couple, or nothing of what this route needs, was ever poured in: no news to
    /// anyone.
    [[nodiscard]] bool isUnheardOf(const SurfaceKinetics& kinetics) const {
        const auto& solution = m_context.cell.solution(m_context.side);
        return (m_anodicAbsent && m_cathodicAbsent) ||
               std::any_of(kinetics.needs.begin(), kinetics.needs.end(),
                           [&](SpeciesIndex species) { return solution.activity[species] <= 0.0; });
    }

private:
    /// On a long charge the plus side has covered itself; at first, and while it gives current, it has not.
    [[nodiscard]] const std::optional<chemistry::FactorSpread>&
    ownAnodicLimit(const SurfaceKinetics& kinetics) const {
        const bool grown =
            m_context.cell.electrode(m_context.side).filmsGrown && kinetics.grownFilmLimit.has_value();
        return grown ? kinetics.grownFilmLimit : kinetics.anodicLimit;
    }

    [[nodiscard]] std::string input(std::size_t which, const char* what) const {
        return std::string(what) + " of " + m_reaction.anodicName + " #" + std::to_string(which + 1);
    }

    [[nodiscard]] double lnExchange(const Face& face, const SurfaceKinetics& kinetics, std::size_t which,
                                    double storedPerVolt, bool storedAnodic) const {
        const auto& solution = m_context.cell.solution(m_context.side);
        const double temperature = m_context.cell.temperatureKelvin;
        double lnRate =
            std::log(m_context.draw.factor(input(which, "rate"), kinetics.currentDensity) * face.trueArea);
        lnRate -= kinetics.activationJoulesPerMole / base::kGasConstant *
                  (1.0 / temperature - 1.0 / base::kStandardTemperature);
        for (const SpeciesTerm& order : kinetics.orders) {
            const double activity = activityOrTrace(m_context.cell, m_context.side, m_context.catalogue,
                                                    m_reaction, order.species, m_context.draw);
            lnRate += order.count * std::log(std::max(activity, 1e-30));
        }
        double reference = m_equilibrium;
        if (kinetics.reference == ReferenceKind::Standard) {
            reference = m_context.draw.offset("standard potential of " + m_reaction.equation,
                                              m_reaction.standardVolts) +
                        m_reaction.standardVoltsPerKelvin * (temperature - base::kStandardTemperature);
        } else if (kinetics.reference == ReferenceKind::Absolute) {
            reference = m_context.draw.offset(input(which, "onset"), kinetics.referenceVolts);
            for (const chemistry::ReferenceShift& shift : kinetics.referenceShifts) {
                const double activity = std::max(solution.activity[shift.species], 1e-9);
                reference += shift.voltsPerDecade * std::log10(activity / shift.atActivity);
            }
        }
        const double over = m_equilibrium - reference;
        return lnRate + (storedAnodic ? 1.0 : -1.0) * storedPerVolt * over;
    }

    [[nodiscard]] double limit(const Face& face, const std::optional<chemistry::FactorSpread>& own,
                               Branch branch, std::size_t which) const {
        double amps = supplyLimit(m_context, m_reaction, branch) * face.geometricArea;
        if (own) {
            amps = std::min(amps, m_context.draw.factor(input(which, "limit"), *own) * face.trueArea);
        }
        return amps;
    }

    void block(Route& route, const SurfaceKinetics& kinetics) const {
        const auto& solution = m_context.cell.solution(m_context.side);
        for (const SpeciesIndex species : kinetics.absentWith) {
            if (solution.activity[species] > 1e-6) {
                route.blocked = Blocked::Film;
                return;
            }
        }
        const double pH = solution.pH + m_acidityShift;
        if (pH < kinetics.window.low || pH > kinetics.window.high) {
            route.blocked = Blocked::Film;
            return;
        }
        for (const SpeciesIndex species : kinetics.needs) {
            if (solution.activity[species] < 1e-6) {
                route.blocked = Blocked::NoReactant;
                route.missing = species;
                return;
            }
        }
    }

    const TransportContext& m_context;
    double m_acidityShift;
    std::size_t m_index;
    const Reaction& m_reaction;
    double m_equilibrium;
    bool m_anodicAbsent;
    bool m_cathodicAbsent;
};

bool runsOn(const SurfaceKinetics& kinetics, SpeciesIndex phase) {
    return std::find(kinetics.surfaces.begin(), kinetics.surfaces.end(), phase) != kinetics.surfaces.end();
}

} // namespace

ElectrodeModel::ElectrodeModel(const Catalogue& catalogue, const design::Cell& cell, design::Side side,
                               Moment moment, const Draw& draw, double acidityShift) {
    const TransportContext context{catalogue, cell, side, moment, draw};
    const design::Electrode& electrode = cell.electrode(side);
    const std::vector<Face> faces = facesOf(catalogue, electrode, draw);
    for (std::size_t r = 0; r < catalogue.reactions.size(); ++r) {
        const RouteBuilder builder(context, r, acidityShift);
        for (const Face& face : faces) {
            for (std::size_t k = 0; k < catalogue.reactions[r].kinetics.size(); ++k) {
                const SurfaceKinetics& kinetics = catalogue.reactions[r].kinetics[k];
                if (runsOn(kinetics, face.phase) && !builder.isUnheardOf(kinetics)) {
                    m_routes.push_back(builder.build(face, kinetics, k));
                }
            }
        }
    }
    for (const Route& route : m_routes) {
        if (route.blocked == Blocked::No) {
            m_running.push_back(route.law);
        }
    }
    if (moment == Moment::First) {
        m_capacitancePerSecond =
            chargedFarads(catalogue, cell, side, kFirstMomentSeconds, draw) / kFirstMomentSeconds;
    }
}

double ElectrodeModel::currentAt(double volts) const {
    double sum = m_capacitancePerSecond * (volts - m_restVolts) - m_residual;
    for (const RateLaw& law : m_running) {
        const double amps = law.current(volts);
        sum += amps > 0.0 ? amps * law.usefulShare : amps;
    }
    return sum;
}

double ElectrodeModel::potentialAt(double amps) const {
    base::RootOptions options;
    options.lowest = -30.0;
    options.highest = 30.0;
    options.step = 0.005; // along a curve the next answer lies near the last
    options.tolerance = 1e-11;
    m_lastVolts =
        base::rootOfRising([&](double volts) { return currentAt(volts) - amps; }, m_lastVolts, options);
    return m_lastVolts;
}

void ElectrodeModel::restAt(double volts) {
    m_restVolts = volts;
    m_residual = 0.0;
    m_residual = currentAt(volts);
    m_lastVolts = volts;
}

} // namespace anodex::electrode
