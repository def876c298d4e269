#include "core/findings/RuleFindings.h"

#include "core/findings/UseFindings.h"

#include <algorithm>

namespace anodex::findings {
namespace {

using cell::Evaluation;
using charge::Charging;
using chemistry::Catalogue;
using chemistry::ChargeUse;
using chemistry::CompatibilityRule;
using chemistry::Material;
using chemistry::Place;
using chemistry::Role;
using design::Cell;
using design::Side;

bool holdsSolid(const Catalogue& catalogue, const Material& material, const std::string& name) {
    const auto is = [&](chemistry::SpeciesIndex species) { return catalogue.species[species].name == name; };
    return (material.plating && is(material.plating->species)) ||
           std::any_of(material.composition.begin(), material.composition.end(),
                       [&](const chemistry::CompositionPart& part) { return is(part.species); });
}

template <typename Entry> bool carries(const Entry& entry, const std::string& name) {
    return entry.id == name ||
           std::find(entry.classes.begin(), entry.classes.end(), name) != entry.classes.end();
}

class RuleCheck {
public:
    RuleCheck(const Catalogue& catalogue, const Cell& cell, const Evaluation& evaluation,
              const std::optional<Charging>& charging)
        : m_catalogue(catalogue), m_cell(cell), m_evaluation(evaluation), m_charging(charging) {}

    void check(const std::shared_ptr<const CompatibilityRule>& rule) {
        m_rule = rule;
        if (rule->use != ChargeUse::Either && (rule->use == ChargeUse::Charged) != m_charging.has_value()) {
            return;
        }
        switch (rule->place) {
        case Place::Electrode:
        case Place::Collector:
            for (const Side side : {Side::Negative, Side::Positive}) {
                checkElectrode(side);
            }
            break;
        case Place::Case:
            if (m_cell.caseMaterial) {
                checkPassive(m_catalogue.cases[*m_cell.caseMaterial], FindingPart::Case);
            }
            break;
        case Place::Separator:
            if (m_cell.barrier) {
                checkPassive(m_catalogue.separators[m_cell.barrier->separator], FindingPart::Separator);
            }
            break;
        case Place::Liquid:
            checkLiquids();
            break;
        }
    }

    std::vector<Finding> take() { return std::move(m_findings); }

private:
    void raise(FindingPart part, std::vector<std::string> names) {
        Finding finding;
        finding.code = FindingCode::Rule;
        finding.severity = m_rule->severity;
        finding.part = part;
        finding.names = std::move(names);
        finding.rule = m_rule;
        m_findings.push_back(std::move(finding));
    }

    [[nodiscard]] bool speaksOf(const Material& material) const {
        return m_rule->classes.empty() ||
               std::any_of(m_rule->classes.begin(), m_rule->classes.end(), [&](const std::string& name) {
                   return carries(material, name) || holdsSolid(m_catalogue, material, name);
               });
    }

    [[nodiscard]] bool suits(Side side) const { return suits(side, m_rule->liquid); }

    [[nodiscard]] bool suits(Side side, const chemistry::LiquidCondition& condition) const {
        const liquid::Solution& solution = m_evaluation.solution(side);
        if (solution.pH < condition.lowestPh || solution.pH > condition.highestPh) {
            return false;
        }
        return std::all_of(condition.together.begin(), condition.together.end(), [&](const auto& group) {
            return std::any_of(group.begin(), group.end(), [&](const chemistry::Presence& presence) {
                return solution.labileConcentration(m_catalogue, presence.species) >= presence.molPerM3;
            });
        });
    }

    void checkLiquids() {
        const bool negative = suits(Side::Negative);
        const bool positive = m_cell.twoLiquids && suits(Side::Positive);
        if (!m_rule->beside) {
            if (negative || positive) {
                raise(FindingPart::Electrolyte, {});
            }
            return;
        }
        const bool meet = m_cell.twoLiquids && ((negative && suits(Side::Positive, *m_rule->beside)) ||
                                                (positive && suits(Side::Negative, *m_rule->beside)));
        if (meet) {
            raise(FindingPart::Separator, {});
        }
    }

    void checkElectrode(Side side) {
        const bool negative = side == Side::Negative;
        if (m_rule->role == (negative ? Role::Positive : Role::Negative) || !suits(side)) {
            return;
        }
        const double volts = m_rule->use == ChargeUse::Charged
                                 ? m_charging->asked->point.potentialVolts[static_cast<std::size_t>(side)]
                                 : m_evaluation.side(side).restVolts;
        if (volts < m_rule->aboveVolts || volts > m_rule->belowVolts) {
            return;
        }
        const design::Electrode& electrode = m_cell.electrode(side);
        const auto& materials = m_catalogue.materials;
        if (m_rule->place == Place::Collector) {
            if (electrode.collector && speaksOf(materials[*electrode.collector])) {
                raise(FindingPart::Collector, {materials[*electrode.collector].name});
            }
            return;
        }
        const FindingPart part = partOf(side);
        if (speaksOf(materials[electrode.material])) {
            raise(part, {materials[electrode.material].name});
            return;
        }
        for (const design::ElectrodeAdditive& additive : electrode.additives) {
            if (speaksOf(materials[additive.material])) {
                raise(part, {materials[additive.material].name});
                return;
            }
        }
    }

    /// A case or separator touches both liquids.
    template <typename Entry> void checkPassive(const Entry& entry, FindingPart part) {
        const bool spoken =
            m_rule->classes.empty() || std::any_of(m_rule->classes.begin(), m_rule->classes.end(),
                                                   [&](const auto& name) { return carries(entry, name); });
        if (spoken && (suits(Side::Negative) || suits(Side::Positive))) {
            raise(part, {entry.name});
        }
    }

    const Catalogue& m_catalogue;
    const Cell& m_cell;
    const Evaluation& m_evaluation;
    const std::optional<Charging>& m_charging;
    std::shared_ptr<const CompatibilityRule> m_rule;
    std::vector<Finding> m_findings;
};

} // namespace

std::vector<Finding> ruleFindings(const Catalogue& catalogue, const Cell& cell, const Evaluation& evaluation,
                                  const std::optional<Charging>& charging) {
    RuleCheck check(catalogue, cell, evaluation, charging);
    for (const auto& rule : catalogue.rules) {
        check.check(rule);
    }
    return check.take();
}

} // namespace anodex::findings
