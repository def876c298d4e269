#include "wording/FindingText.h"

#include "core/findings/FindingKind.h"
#include "wording/Listing.h"
#include "wording/PartText.h"
#include "wording/Quantities.h"
#include "wording/Texts.h"

namespace anodex::wording {

using findings::Finding;
using findings::Measure;

namespace {

std::string capitalised(std::string text) {
    if (!text.empty() && text.front() >= 'a' && text.front() <= 'z') {
        text.front() = static_cast<char>(text.front() - 'a' + 'A');
    }
    return text;
}

/// "3 ppm", "2.4 %"
std::string airShareText(double share) {
    constexpr double kPercentFrom = 1e-3;
    return share < kPercentFrom ? numberText(share * 1e6, 2) + " ppm" : numberText(share * 100.0, 2) + " %";
}

std::string valueText(double value, Measure measure) {
    switch (measure) {
    case Measure::None:
        break;
    case Measure::Ampere:
        return quantityText(value, Unit::Ampere);
    case Measure::Volt:
        return quantityText(value, Unit::Volt);
    case Measure::Millivolt:
        return numberText(value * 1e3, 2);
    case Measure::Ohm:
        return quantityText(value, Unit::Ohm);
    case Measure::Kelvin:
        return numberText(value, 2);
    case Measure::Duration:
        return durationText(value);
    case Measure::AmpereHour:
        return chargeText(value);
    case Measure::Gram:
        return numberText(value * 1e3, 2);
    case Measure::GramPerHour:
        return numberText(value * 3600.0 * 1e3, 2);
    case Measure::Millilitre:
        return numberText(value * 1e6, 2);
    case Measure::GasPerSecond:
        return quantityText(value, Unit::M3PerSecond);
    case Measure::AirPerHour:
        return numberText(value * 3600.0, 2);
    case Measure::ShareOfAir:
        return airShareText(value);
    }
    return {};
}

/// The rule's reason with the material's name where it leaves room for one.
FindingText ruleText(const chemistry::CompatibilityRule& rule, const std::string& name) {
    const Texts& texts = Texts::current();
    const std::string id = "rule." + rule.id;
    std::string reason = texts.textOr(id + ".reason", rule.reason);
    for (std::size_t at = reason.find("{}"); at != std::string::npos; at = reason.find("{}")) {
        reason.replace(at, 2, name);
    }
    return {texts.textOr(id + ".title", rule.title), capitalised(std::move(reason)),
            texts.textOr(id + ".remedy", rule.remedy)};
}

} // namespace

FindingText findingText(const Finding& finding) {
    const std::string name = listed(finding.names);
    if (finding.code == findings::FindingCode::Rule) {
        return ruleText(*finding.rule, name);
    }
    const findings::FindingKind& kind = findings::kindOf(finding.code);
    std::map<std::string, base::SaidValue> values = {
        {"name", name},
        {"Name", capitalised(name)},
        {"formula", prettyEquation(name)},
        {"count", static_cast<std::int64_t>(finding.names.size())},
        {"value", valueText(finding.value, kind.value)}};
    if (!finding.names.empty()) {
        values["first"] = finding.names.front();
        values["Last"] = capitalised(prettyEquation(finding.names.back()));
    }
    const std::string id = std::string("finding.") + kind.name;
    return {text({id + ".title", values}), text({id + ".text", values}), text({id + ".remedy", values})};
}

std::string findingCode(const Finding& finding) {
    return finding.code == findings::FindingCode::Rule ? finding.rule->id
                                                       : findings::kindOf(finding.code).name;
}

const char* severityText(findings::Severity severity) {
    switch (severity) {
    case findings::Severity::Danger:
        return "danger";
    case findings::Severity::Warning:
        return "warning";
    case findings::Severity::Note:
        return "note";
    }
    return "";
}

const char* findingPartText(findings::FindingPart part) {
    switch (part) {
    case findings::FindingPart::Negative:
        return "negative";
    case findings::FindingPart::Positive:
        return "positive";
    case findings::FindingPart::Electrolyte:
        return "electrolyte";
    case findings::FindingPart::Separator:
        return "separator";
    case findings::FindingPart::Collector:
        return "collector";
    case findings::FindingPart::Case:
        return "case";
    case findings::FindingPart::Whole:
        return "whole";
    }
    return "";
}

} // namespace anodex::wording
