#include "core/design/Liquid.h"

#include "core/base/Constants.h"
#include "core/base/Fault.h"
#include "core/base/RootFinding.h"
#include "core/chemistry/NameLookup.h"
#include "core/design/Identify.h"
#include "core/liquid/Density.h"
#include "core/liquid/Freezing.h"
#include "core/liquid/SolveSolution.h"

#include <algorithm>
#include <cmath>

namespace anodex::design {
namespace {

using chemistry::Catalogue;
using liquid::Mixture;
using Code = DesignError::Code;

constexpr double kUnstatedGelShare = 0.85; // of the free liquid's conductivity (common practice, no source)

/// Of the free liquid's conductivity: what the agent fills carries nothing (Bruggeman 1935, its volume taken as its
/// mass).
double conductivityShareOf(const Gel& gel) {
    constexpr double kBruggeman = 1.5; // the exponent of his law
    return gel.agent.empty() ? kUnstatedGelShare : std::pow(1.0 - gel.massFraction, kBruggeman);
}

struct NamedSolute {
    chemistry::SubstanceName name;
    Amount amount;
    double molarMassAsNamed = 0.0;
    double solventPerMole = 0.0; ///< kg of crystal solvent brought along per mole.
};

class Composer {
public:
    Composer(const Catalogue& catalogue, double temperatureKelvin) : m_catalogue(catalogue) {
        m_mixture.temperatureKelvin = temperatureKelvin;
    }

    std::optional<DesignError> addSolutes(const LiquidDesign& liquid, const std::string& field) {
        double fractions = 0.0;
        for (std::size_t i = 0; i < liquid.solutes.size(); ++i) {
            const SoluteDesign& solute = liquid.solutes[i];
            const std::string path = field + ".solutes[" + std::to_string(i) + "]";
            if (const auto why = chemistry::whyRefused(m_catalogue, solute.substance.written)) {
                return DesignError{Code::Refused, path + ".substance", solute.substance.written, *why, 0.0};
            }
            const auto name = findSubstance(m_catalogue, solute.substance);
            if (!name) {
                return DesignError{
                    Code::UnknownSubstance, path + ".substance", solute.substance.written,
                    chemistry::nearestName(solute.substance.written, chemistry::substanceNames(m_catalogue))};
            }
            if (!(solute.amount.value > 0.0) || !std::isfinite(solute.amount.value)) {
                return DesignError{Code::NotPositive, path, solute.substance.written, {}};
            }
            fractions += solute.amount.unit == AmountUnit::MassFraction ? solute.amount.value : 0.0;
            if (fractions >= 1.0) {
                return DesignError{
                    Code::PercentTooHigh, path + ".mass_percent", solute.substance.written, {}};
            }
            m_solutes.push_back(named(*name, solute.amount));
            const double neat = neatMolPerM3(m_solutes.back());
            constexpr double kRounding = 1.01; // of tabled densities
            if (solute.amount.unit == AmountUnit::MolPerM3 && solute.amount.value > kRounding * neat) {
                return DesignError{
                    Code::StrongerThanNeat, path + ".mol_per_L", solute.substance.written, {}, neat};
            }
        }
        return std::nullopt;
    }

    void addReady(const chemistry::ReadyLiquid& ready, double volumeM3) {
        for (const auto& part : ready.parts) {
            m_solutes.push_back(named({part.substance, std::nullopt},
                                      {AmountUnit::Moles, part.molPerLitre * 1000.0 * volumeM3}));
        }
    }

    Mixture composed(double solventKg) {
        m_mixture.solventKg = solventKg;
        settleAmounts(solventKg);
        return m_mixture;
    }

    /// Solvent to add so that the finished liquid fills `volumeM3`; negative when the solutes alone overfill
    /// it.
    double solventForVolume(double volumeM3) {
        const auto excess = [&](double solventKg) { return volumeOf(composed(solventKg)) - volumeM3; };
        base::RootOptions options;
        options.step = volumeM3 * 200.0;
        options.lowest = 1e-9 * volumeM3 * 1000.0;
        options.highest = volumeM3 * 2000.0;
        options.tolerance = volumeM3 * 1e-9;
        if (excess(options.lowest) > 0.0) {
            return -1.0;
        }
        return base::rootOfRising(excess, volumeM3 * 900.0, options);
    }

private:
    /// What a litre of the substance alone holds.
    [[nodiscard]] double neatMolPerM3(const NamedSolute& solute) const {
        return m_catalogue.substances[solute.name.substance].densityKgPerM3 / solute.molarMassAsNamed;
    }

    [[nodiscard]] NamedSolute named(const chemistry::SubstanceName& name, const Amount& amount) const {
        const chemistry::Substance& substance = m_catalogue.substances[name.substance];
        NamedSolute solute{name, amount, substance.molarMassKg, 0.0};
        if (name.hydrate) {
            const chemistry::Hydrate& hydrate = substance.hydrates[*name.hydrate];
            solute.molarMassAsNamed = hydrate.molarMassKg;
            solute.solventPerMole = hydrate.molarMassKg - substance.molarMassKg;
        }
        return solute;
    }

    [[nodiscard]] double volumeOf(const Mixture& mixture) const {
        double kilograms = mixture.solventKg;
        for (const liquid::Portion& portion : mixture.portions) {
            kilograms += portion.moles * m_catalogue.substances[portion.substance].molarMassKg;
        }
        return kilograms / liquid::mixtureDensity(m_catalogue, mixture);
    }

    [[nodiscard]] double molesOf(const NamedSolute& solute, double solventKg, double volumeM3,
                                 double totalKg) const {
        const double value = solute.amount.value;
        switch (solute.amount.unit) {
        case AmountUnit::MassKg:
            return value / solute.molarMassAsNamed;
        case AmountUnit::VolumeM3:
            return value * m_catalogue.substances[solute.name.substance].densityKgPerM3 /
                   solute.molarMassAsNamed;
        case AmountUnit::Moles:
            return value;
        case AmountUnit::MolPerM3:
            return value * volumeM3;
        case AmountUnit::MolPerKg:
            return value * solventKg;
        case AmountUnit::MassFraction:
            return value * totalKg / solute.molarMassAsNamed;
        }
        return 0.0;
    }

    /// Strengths refer to the finished liquid, which depends on the strengths: repeat until it stands still.
    void settleAmounts(double addedSolventKg) {
        std::vector<double> moles(m_solutes.size(), 0.0);
        for (int round = 0; round < 200; ++round) {
            place(addedSolventKg, moles);
            const double volume = volumeOf(m_mixture);
            double total = m_mixture.solventKg;
            for (const liquid::Portion& portion : m_mixture.portions) {
                total += portion.moles * m_catalogue.substances[portion.substance].molarMassKg;
            }
            double change = 0.0;
            for (std::size_t i = 0; i < m_solutes.size(); ++i) {
                const double next = molesOf(m_solutes[i], m_mixture.solventKg, volume, total);
                change = std::max(change, std::abs(next - moles[i]) / (std::abs(next) + 1e-30));
                moles[i] = next;
            }
            if (change < 1e-12) {
                break;
            }
        }
        place(addedSolventKg, moles);
    }

    void place(double addedSolventKg, const std::vector<double>& moles) {
        m_mixture.solventKg = addedSolventKg;
        m_mixture.portions.clear();
        for (std::size_t i = 0; i < m_solutes.size(); ++i) {
            const NamedSolute& solute = m_solutes[i];
            m_mixture.solventKg += moles[i] * solute.solventPerMole;
            if (m_catalogue.substances[solute.name.substance].isSolvent) {
                m_mixture.solventKg += moles[i] * solute.molarMassAsNamed;
            } else {
                m_mixture.portions.push_back({solute.name.substance, moles[i]});
            }
        }
    }

    const Catalogue& m_catalogue;
    Mixture m_mixture;
    std::vector<NamedSolute> m_solutes;
};

bool isPositive(const std::optional<double>& value) {
    return !value || (*value > 0.0 && std::isfinite(*value));
}

std::optional<DesignError> checkMeasured(const LiquidDesign& liquid, const std::string& field) {
    if (!(liquid.basisValue > 0.0) || !std::isfinite(liquid.basisValue)) {
        return DesignError{Code::NotPositive, field, {}, {}};
    }
    if (!isPositive(liquid.measuredDensity)) {
        return DesignError{Code::NotPositive, field + ".measured_density_g_per_mL", {}, {}};
    }
    if (!isPositive(liquid.measuredConductivity)) {
        return DesignError{Code::NotPositive, field + ".measured_conductivity_S_per_m", {}, {}};
    }
    return std::nullopt;
}

std::string suggestedLiquid(const Catalogue& catalogue, const std::string& wanted) {
    std::string kinds;
    for (const std::string& kind : chemistry::kindsOfLiquid(catalogue, wanted)) {
        kinds += (kinds.empty() ? "" : "\" or \"") + kind;
    }
    return kinds.empty() ? chemistry::nearestName(wanted, chemistry::liquidNames(catalogue)) : kinds;
}

/// A liquid that the model does not solve is for its evaluation to tell of, not for its reading.
double freezingOf(const Catalogue& catalogue, const Mixture& mixture) {
    try {
        return liquid::freezingKelvin(liquid::solveSolution(catalogue, mixture).solventActivity);
    } catch (const base::Fault&) {
        return mixture.temperatureKelvin;
    }
}

std::optional<DesignError> checkNotFrozen(const Catalogue& catalogue, const Mixture& mixture) {
    constexpr double kJustFreezing = 0.05; // K, less than any thermometer of a builder tells
    if (mixture.temperatureKelvin > base::kZeroCelsius - kJustFreezing || !mixture.hasPhScale) {
        return std::nullopt;
    }
    const double freezing = freezingOf(catalogue, mixture);
    if (mixture.temperatureKelvin > freezing - kJustFreezing) {
        return std::nullopt;
    }
    return DesignError{DesignError::Code::Frozen, "temperature_C", {}, {}, freezing};
}

} // namespace

tl::expected<ResolvedLiquid, DesignError> resolveLiquid(const Catalogue& catalogue,
                                                        const LiquidDesign& liquid, double temperatureKelvin,
                                                        const std::string& field) {
    if (const auto problem = checkMeasured(liquid, field)) {
        return tl::unexpected(*problem);
    }
    ResolvedLiquid resolved;
    Composer composer(catalogue, temperatureKelvin);
    if (const auto problem = composer.addSolutes(liquid, field)) {
        return tl::unexpected(*problem);
    }
    double solventKg = liquid.basisValue;
    Mixture asReady;
    if (!liquid.ready.empty()) {
        const auto index = findLiquid(catalogue, liquid.ready);
        if (!index) {
            return tl::unexpected(DesignError{Code::UnknownLiquid, field + ".ready", liquid.ready.written,
                                              suggestedLiquid(catalogue, liquid.ready.written)});
        }
        resolved.ready = index;
        const chemistry::ReadyLiquid& ready = catalogue.liquids[*index];
        resolved.doubtFactor = std::exp(
            std::hypot(std::log(ready.strengthSpreadFactor), std::log(ready.conductivitySpreadFactor)));
        asReady.stillOxygenFactor = ready.stillOxygenFactor;
        asReady.conductivityFactor = ready.conductivityFactor;
        asReady.readyConductivity = ready.conductivity;
        asReady.isUnbounded = ready.isUnbounded;
        asReady.hasPhScale = ready.hasPhScale;
        Composer alone(catalogue, temperatureKelvin);
        alone.addReady(ready, liquid.basisValue);
        solventKg = alone.solventForVolume(liquid.basisValue);
        composer.addReady(ready, liquid.basisValue);
    } else if (liquid.basis == LiquidBasis::SolventVolume) {
        Mixture pure;
        pure.temperatureKelvin = temperatureKelvin;
        pure.solventKg = 1.0;
        solventKg = liquid.basisValue * liquid::mixtureDensity(catalogue, pure);
    } else if (liquid.basis == LiquidBasis::FinishedVolume) {
        solventKg = composer.solventForVolume(liquid.basisValue);
    }
    if (solventKg <= 0.0) {
        return tl::unexpected(DesignError{Code::NoRoomForSolvent, field, {}, {}});
    }
    resolved.mixture = composer.composed(solventKg);
    if (const auto problem = checkNotFrozen(catalogue, resolved.mixture)) {
        return tl::unexpected(*problem);
    }
    resolved.mixture.measuredPh = liquid.measuredPh;
    resolved.mixture.measuredDensity = liquid.measuredDensity;
    resolved.mixture.measuredConductivity = liquid.measuredConductivity;
    resolved.mixture.conductivityFactor =
        asReady.conductivityFactor * (liquid.gel ? conductivityShareOf(*liquid.gel) : 1.0);
    resolved.mixture.stillOxygenFactor = asReady.stillOxygenFactor;
    resolved.mixture.readyConductivity = asReady.readyConductivity;
    resolved.mixture.isUnbounded = asReady.isUnbounded;
    resolved.mixture.hasPhScale = asReady.hasPhScale;
    return resolved;
}

} // namespace anodex::design
