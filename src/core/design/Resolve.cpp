#include "core/design/Resolve.h"

#include "core/base/Constants.h"
#include "core/chemistry/NameLookup.h"
#include "core/design/Identify.h"
#include "core/design/Liquid.h"

#include <algorithm>
#include <cmath>

namespace anodex::design {
namespace {

using chemistry::Catalogue;
using Code = DesignError::Code;
using Problem = std::optional<DesignError>;

bool usable(double value) {
    return std::isfinite(value) && value > 0.0;
}

class Resolver {
public:
    Resolver(const Catalogue& catalogue, const CellDesign& design)
        : m_catalogue(catalogue), m_design(design) {}

    tl::expected<Cell, DesignError> run() {
        for (const auto step :
             {&Resolver::takeGeneral, &Resolver::takeCase, &Resolver::takeUse, &Resolver::takeElectrodes,
              &Resolver::takeLiquids, &Resolver::takeBarrierAndGap}) {
            if (Problem problem = (this->*step)()) {
                return tl::unexpected(*problem);
            }
        }
        return m_cell;
    }

private:
    Problem takeGeneral() {
        const double temperature = m_design.temperatureKelvin.value_or(kDefaultTemperatureKelvin);
        if (!m_design.temperatureKelvin) {
            assume("temperature_C", temperature);
        }
        if (!std::isfinite(temperature) || temperature < kColdestKelvin - 1e-9 ||
            temperature > kHottestKelvin + 1e-9) {
            return DesignError{Code::TemperatureOutOfRange, "temperature_C", {}, {}};
        }
        m_cell.temperatureKelvin = temperature;
        const auto& families = m_catalogue.families;
        if (!m_design.family.empty() &&
            std::find(families.begin(), families.end(), m_design.family) == families.end()) {
            return DesignError{Code::UnknownFamily, "family", m_design.family,
                               chemistry::nearestName(m_design.family, families)};
        }
        if (m_design.contactOhm && !(*m_design.contactOhm >= 0.0 && std::isfinite(*m_design.contactOhm))) {
            return DesignError{Code::NotPositive, "contact_mohm", {}, {}};
        }
        m_cell.contactOhm = m_design.contactOhm.value_or(kDefaultContactOhm);
        if (!m_design.contactOhm) {
            assume("contact_mohm", m_cell.contactOhm);
        }
        if (m_design.measuredResistanceOhm && !usable(*m_design.measuredResistanceOhm)) {
            return DesignError{Code::NotPositive, "measured_resistance_mohm", {}, {}};
        }
        m_cell.stirred = m_design.stirred;
        m_cell.measuredResistanceOhm = m_design.measuredResistanceOhm;
        m_cell.measuredOpenCircuitVolts = m_design.measuredOpenCircuitVolts;
        return std::nullopt;
    }

    Problem takeCase() {
        m_cell.closed = m_design.closed;
        if (m_design.headSpaceM3 && !usable(*m_design.headSpaceM3)) {
            return DesignError{Code::NotPositive, "case.head_space_mL", {}, {}};
        }
        if (m_design.insideM2 && !usable(*m_design.insideM2)) {
            return DesignError{Code::NotPositive, "case.inside_cm2", {}, {}};
        }
        m_cell.insideM2 = m_design.insideM2;
        m_cell.headSpaceM3 = m_design.headSpaceM3.value_or(kDefaultHeadSpaceM3);
        if (m_cell.closed && !m_design.headSpaceM3) {
            assume("case.head_space_mL", m_cell.headSpaceM3);
        }
        if (!m_design.caseMaterial.empty()) {
            m_cell.caseMaterial = findCase(m_catalogue, m_design.caseMaterial);
            if (!m_cell.caseMaterial) {
                return DesignError{
                    Code::UnknownCase, "case.material", m_design.caseMaterial.written,
                    chemistry::nearestName(m_design.caseMaterial.written, chemistry::caseNames(m_catalogue))};
            }
        }
        return std::nullopt;
    }

    /// How it is charged, where it stands and how many stand together.
    Problem takeUse() {
        m_cell.charge = m_design.charge;
        m_cell.place = m_design.place;
        m_cell.string = m_design.string;
        const ChargeDesign charge = m_design.charge.value_or(ChargeDesign{});
        const std::pair<const std::optional<double>*, const char*> positives[] = {
            {&charge.amps, "charge.current_A"},
            {&charge.volts, "charge.voltage_V"},
            {&m_design.place.roomM3, "place.room_m3"},
            {&m_design.place.airChangesPerSecond, "place.air_changes_per_h"},
            {&m_design.place.boxM3, "place.box_L"}};
        for (const auto& [value, name] : positives) {
            if (*value && !usable(**value)) {
                return DesignError{Code::NotPositive, name, {}, {}};
            }
        }
        if (m_design.charge && !charge.amps && !charge.volts) {
            return DesignError{Code::NotPositive, "charge", {}, {}};
        }
        if (m_design.string.series < 1 || m_design.string.parallel < 1) {
            return DesignError{Code::NotPositive, "string", {}, {}};
        }
        return std::nullopt;
    }

    Problem takeElectrodes() {
        for (const Side side : {Side::Negative, Side::Positive}) {
            const std::string field = side == Side::Negative ? "negative" : "positive";
            if (Problem problem = takeElectrode(m_design.electrode(side), field,
                                                m_cell.electrodes[static_cast<std::size_t>(side)])) {
                return problem;
            }
        }
        return std::nullopt;
    }

    Problem takeEntry(const Named& name, const std::string& field, std::size_t& index) const {
        if (const auto why = chemistry::whyRefused(m_catalogue, name.written)) {
            return DesignError{Code::Refused, field, name.written, *why};
        }
        const auto found = findMaterial(m_catalogue, name);
        if (!found) {
            return DesignError{Code::UnknownMaterial, field, name.written,
                               chemistry::nearestName(name.written, chemistry::materialNames(m_catalogue))};
        }
        index = *found;
        return std::nullopt;
    }

    Problem takeElectrode(const ElectrodeDesign& design, const std::string& field, Electrode& electrode) {
        if (Problem problem = takeEntry(design.material, field + ".material", electrode.material)) {
            return problem;
        }
        if (!usable(design.wettedAreaM2)) {
            return DesignError{Code::NotPositive, field + ".wetted_area_cm2", {}, {}};
        }
        const std::pair<const std::optional<double>*, const char*> positives[] = {
            {&design.massKg, ".mass_g"},
            {&design.measuredMassKg, ".measured_mass_g"},
            {&design.thicknessMetres, ".thickness_mm"},
            {&design.measuredResistanceOhm, ".measured_resistance_mohm"}};
        for (const auto& [value, name] : positives) {
            if (*value && !usable(**value)) {
                return DesignError{Code::NotPositive, field + name, {}, {}};
            }
        }
        const chemistry::Material& material = m_catalogue.materials[electrode.material];
        electrode.areaM2 = design.wettedAreaM2;
        takeMass(design, field, material, electrode);
        electrode.air = design.air.value_or(Air::Still);
        if (!design.air) {
            assume(field + ".air", 0.0, "still");
        }
        if (Problem problem = takePores(design, field, material, electrode)) {
            return problem;
        }
        if (Problem problem = takeCharged(design, field, electrode)) {
            return problem;
        }
        electrode.measuredOhm = design.measuredResistanceOhm;
        for (std::size_t i = 0; i < design.additives.size(); ++i) {
            const std::string path = field + ".additives[" + std::to_string(i) + "]";
            ElectrodeAdditive additive{0, design.additives[i].massKg};
            if (Problem problem =
                    takeEntry(design.additives[i].material, path + ".material", additive.material)) {
                return problem;
            }
            if (!usable(additive.massKg)) {
                return DesignError{Code::NotPositive, path + ".mass_g", {}, {}};
            }
            electrode.additives.push_back(additive);
        }
        return takeCollector(design, field, electrode);
    }

    Problem takePores(const ElectrodeDesign& design, const std::string& field,
                      const chemistry::Material& material, Electrode& electrode) {
        if (design.openShare && !(*design.openShare > 0.0 && *design.openShare <= 1.0)) {
            return DesignError{Code::NotAShare, field + ".open_percent", {}, {}};
        }
        if (design.filledPores && !(*design.filledPores >= 0.0 && *design.filledPores <= 1.0)) {
            return DesignError{Code::NotAShare, field + ".filled_pores_percent", {}, {}};
        }
        electrode.openShare = design.openShare.value_or(1.0);
        electrode.filledPores = design.filledPores.value_or(material.usualFilledPores);
        if (electrode.air == Air::Breathing && !design.openShare) {
            assume(field + ".open_percent", 1.0);
        }
        if (material.porosity > 0.0 && !design.filledPores) {
            assume(field + ".filled_pores_percent", electrode.filledPores);
        }
        return std::nullopt;
    }

    Problem takeCharged(const ElectrodeDesign& design, const std::string& field, Electrode& electrode) {
        if (!design.charged) {
            return std::nullopt;
        }
        if (!(*design.charged >= 0.0 && *design.charged <= 1.0)) {
            return DesignError{Code::NotAShare, field + ".charged_percent", {}, {}};
        }
        const auto states = chemistry::chargeStates(m_catalogue, electrode.material);
        if (!states) {
            return DesignError{Code::NeverCharged, field + ".charged_percent", design.material.written, {}};
        }
        electrode.charged = ChargedPlate{states->full, states->empty, *design.charged};
        return std::nullopt;
    }

    void takeMass(const ElectrodeDesign& design, const std::string& field,
                  const chemistry::Material& material, Electrode& electrode) {
        electrode.thicknessMetres = design.thicknessMetres.value_or(material.defaultThicknessMetres);
        if (design.measuredMassKg) {
            electrode.massKg = *design.measuredMassKg;
        } else if (design.massKg) {
            electrode.massKg = *design.massKg;
        } else {
            electrode.massKg = design.wettedAreaM2 * electrode.thicknessMetres * material.densityKgPerM3;
            assume(field + ".mass_g", electrode.massKg);
        }
        if (!design.thicknessMetres && (design.massKg || design.measuredMassKg)) {
            electrode.thicknessMetres = electrode.massKg / (design.wettedAreaM2 * material.densityKgPerM3);
        } else if (!design.thicknessMetres) {
            assume(field + ".thickness_mm", electrode.thicknessMetres);
        }
    }

    Problem takeCollector(const ElectrodeDesign& design, const std::string& field, Electrode& electrode) {
        if (!design.collector) {
            return std::nullopt;
        }
        std::size_t index = 0;
        if (Problem problem = takeEntry(design.collector->material, field + ".collector.material", index)) {
            return problem;
        }
        electrode.collector = index;
        if (design.collector->resistanceOhm &&
            !(*design.collector->resistanceOhm >= 0.0 && std::isfinite(*design.collector->resistanceOhm))) {
            return DesignError{Code::NotPositive, field + ".collector.resistance_mohm", {}, {}};
        }
        electrode.collectorOhm = design.collector->resistanceOhm;
        return std::nullopt;
    }

    Problem takeLiquids() {
        m_cell.twoLiquids = m_design.positiveLiquid.has_value();
        for (const Side side : {Side::Negative, Side::Positive}) {
            const std::size_t index = static_cast<std::size_t>(side);
            if (side == Side::Positive && !m_cell.twoLiquids) {
                m_cell.poured[1] = m_cell.poured[0];
                m_cell.liquidDoubtFactor[1] = m_cell.liquidDoubtFactor[0];
                m_cell.ready[1] = m_cell.ready[0];
                break;
            }
            std::string field = "electrolyte";
            if (m_cell.twoLiquids) {
                field += side == Side::Negative ? ".negative" : ".positive";
            }
            auto liquid =
                resolveLiquid(m_catalogue, m_design.liquidAt(side), m_cell.temperatureKelvin, field);
            if (!liquid) {
                return liquid.error();
            }
            const Air air = m_cell.electrodes[index].air;
            const bool airless =
                air == Air::None && (m_cell.twoLiquids || m_cell.electrodes[1].air == Air::None);
            liquid->mixture.oxygenPressureBar = airless ? liquid::kAirlessOxygenBar : base::kOxygenShareOfAir;
            m_cell.poured[index] = liquid->mixture;
            m_cell.liquidDoubtFactor[index] = liquid->doubtFactor;
            m_cell.ready[index] = liquid->ready;
        }
        return std::nullopt;
    }

    Problem takeBarrierAndGap() {
        double layers = 0.0;
        if (m_design.separator) {
            const auto index = findSeparator(m_catalogue, m_design.separator->material);
            if (!index) {
                return DesignError{Code::UnknownSeparator, "separator.material",
                                   m_design.separator->material.written,
                                   chemistry::nearestName(m_design.separator->material.written,
                                                          chemistry::separatorNames(m_catalogue))};
            }
            const int count = m_design.separator->layers.value_or(1);
            if (count < 1) {
                return DesignError{Code::NotPositive, "separator.layers", {}, {}};
            }
            const double one = m_design.separator->thicknessMetres.value_or(
                m_catalogue.separators[*index].defaultThicknessMetres);
            if (m_design.separator->thicknessMetres && !usable(one)) {
                return DesignError{Code::NotPositive, "separator.thickness_mm", {}, {}};
            }
            layers = one * count;
            m_cell.barrier = Barrier{*index, layers, false};
        }
        if (m_design.gapMetres && !usable(*m_design.gapMetres)) {
            return DesignError{Code::NotPositive, "gap_mm", {}, {}};
        }
        m_cell.gapMetres = m_design.gapMetres.value_or(layers > 0.0 ? layers : kDefaultOpenGapMetres);
        if (!m_design.gapMetres) {
            assume("gap_mm", m_cell.gapMetres);
        }
        if (m_cell.barrier && m_cell.barrier->thicknessMetres > m_cell.gapMetres * (1.0 + 1e-9)) {
            m_cell.barrier->thicknessMetres = m_cell.gapMetres;
            m_cell.barrier->pressed = true;
        }
        return std::nullopt;
    }

    void assume(std::string field, double value, std::string text = {}) {
        m_cell.assumed.push_back({std::move(field), value, std::move(text)});
    }

    const Catalogue& m_catalogue;
    const CellDesign& m_design;
    Cell m_cell;
};

} // namespace

tl::expected<Cell, DesignError> resolve(const Catalogue& catalogue, const CellDesign& design) {
    return Resolver(catalogue, design).run();
}

} // namespace anodex::design
