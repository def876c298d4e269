#include "wording/CsvText.h"

#include "quantity/Units.h"
#include "wording/Listing.h"
#include "wording/Quantities.h"
#include "wording/Texts.h"

#include <fmt/format.h>

namespace anodex::wording {
namespace {

using formats::CsvAspect;
using formats::DateOrder;
using formats::TimeForm;
using Kind = CsvAspect::Kind;

std::string aspectText(Kind kind) {
    switch (kind) {
    case Kind::Decimal:
        return text("csv.aspect-decimal");
    case Kind::TimeColumn:
        return text("csv.aspect-time-column");
    case Kind::TimeUnit:
        return text("csv.aspect-time-unit");
    case Kind::DateOrder:
        return text("csv.aspect-date-order");
    case Kind::VoltageColumn:
        return text("csv.aspect-voltage-column");
    case Kind::VoltageUnit:
        return text("csv.aspect-voltage-unit");
    case Kind::CurrentColumn:
        return text("csv.aspect-current-column");
    case Kind::CurrentUnit:
        return text("csv.aspect-current-unit");
    case Kind::Sign:
        return text("csv.aspect-sign");
    }
    return "";
}

} // namespace

std::string questionText(const CsvAspect& aspect) {
    constexpr double kWorthNaming = 0.005;
    std::vector<std::string> choices;
    for (const CsvAspect::Choice& choice : aspect.choices) {
        if (choice.odds >= kWorthNaming || choices.empty()) {
            choices.push_back(choice.value);
        }
    }
    return text({"csv.may-be", {{"what", aspectText(aspect.kind)}, {"choices", choiceOf(choices)}}});
}

std::string optionText(Kind kind, const std::string& choice) {
    switch (kind) {
    case Kind::Decimal:
        return "--decimal " + choice;
    case Kind::TimeColumn:
        return fmt::format("--time \"{}\"", choice);
    case Kind::TimeUnit:
        return "--unit time=" + choice;
    case Kind::DateOrder:
        return "--date-order " + choice;
    case Kind::VoltageColumn:
        return fmt::format("--voltage \"{}\"", choice);
    case Kind::VoltageUnit:
        return "--unit voltage=" + choice;
    case Kind::CurrentColumn:
        return fmt::format("--current \"{}\"", choice);
    case Kind::CurrentUnit:
        return "--unit current=" + choice;
    case Kind::Sign:
        return "--sign " + choice;
    }
    return "";
}

std::string skippedText(formats::SkippedRow::Why why) {
    using Why = formats::SkippedRow::Why;
    switch (why) {
    case Why::Short:
        return text("csv.skipped-short");
    case Why::NoTime:
        return text("csv.skipped-no-time");
    case Why::NoVoltage:
        return text("csv.skipped-no-voltage");
    case Why::NoCurrent:
        return text("csv.skipped-no-current");
    case Why::Overload:
        return text("csv.skipped-overload");
    case Why::Remark:
        return text("csv.skipped-remark");
    case Why::HeaderAgain:
        return text("csv.skipped-header-again");
    case Why::SameTime:
        return text("csv.skipped-same-time");
    }
    return "";
}

std::string timeFormText(const formats::CsvMapping& mapping) {
    switch (mapping.time) {
    case TimeForm::Elapsed:
    case TimeForm::Epoch: {
        double toSi = 1.0;
        for (const formats::ColumnMapping& column : mapping.columns) {
            toSi = column.role == formats::ColumnRole::Time ? column.toSi : toSi;
        }
        const std::string unit = quantity::symbolFor(quantity::Dimension::Second, toSi);
        return mapping.time == TimeForm::Epoch ? text({"csv.since-1970", {{"unit", unit}}}) : unit;
    }
    case TimeForm::Stamp: {
        const char* order = mapping.dateOrder == DateOrder::DayFirst     ? "day"
                            : mapping.dateOrder == DateOrder::MonthFirst ? "month"
                                                                         : "year";
        return text({"csv.date-and-time",
                     {{"first", std::string(order)}, {"zone", mapping.zone.empty() ? "UTC" : mapping.zone}}});
    }
    case TimeForm::Clock:
        return "h:mm:ss";
    case TimeForm::MinSec:
        return "mm:ss";
    case TimeForm::SheetDays:
        return text("csv.spreadsheet-days");
    case TimeForm::Rows:
        return text({"csv.row-every", {{"seconds", numberText(mapping.intervalSeconds, 6)}}});
    }
    return "";
}

std::string columnUnitText(const formats::ColumnMapping& column) {
    const bool current = column.role == formats::ColumnRole::Current;
    const auto dimension = current ? quantity::Dimension::Ampere : quantity::Dimension::Volt;
    const std::string symbol = quantity::symbolFor(dimension, column.toSi);
    return symbol.empty() ? text({"csv.volts-over", {{"ohms", numberText(1.0 / column.toSi, 4)}}}) : symbol;
}

} // namespace anodex::wording
