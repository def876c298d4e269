#include "wording/CsvText.h"

#include "quantity/Units.h"

#include <fmt/format.h>

namespace anodex::wording {
namespace {

using formats::CsvAspect;
using formats::DateOrder;
using formats::TimeForm;
using Kind = CsvAspect::Kind;

const char* aspectText(Kind kind) {
    switch (kind) {
    case Kind::Decimal:
        return "the decimal mark";
    case Kind::TimeColumn:
        return "the column of time";
    case Kind::TimeUnit:
        return "the unit of the time";
    case Kind::DateOrder:
        return "the order of the dates";
    case Kind::VoltageColumn:
        return "the column of the voltage";
    case Kind::VoltageUnit:
        return "the unit of the voltage";
    case Kind::CurrentColumn:
        return "the column of the current";
    case Kind::CurrentUnit:
        return "the unit of the current";
    case Kind::Sign:
        return "what a positive current means";
    }
    return "";
}

} // namespace

std::string questionText(const CsvAspect& aspect) {
    constexpr double kWorthNaming = 0.005;
    std::string choices;
    for (const CsvAspect::Choice& choice : aspect.choices) {
        if (choice.odds >= kWorthNaming || choices.empty()) {
            choices += (choices.empty() ? "" : " or ") + choice.value;
        }
    }
    return fmt::format("{} may be {}", aspectText(aspect.kind), choices);
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

const char* skippedText(formats::SkippedRow::Why why) {
    using Why = formats::SkippedRow::Why;
    switch (why) {
    case Why::Short:
        return "fewer cells than columns";
    case Why::NoTime:
        return "the time does not read";
    case Why::NoVoltage:
        return "the voltage does not read";
    case Why::NoCurrent:
        return "the current does not read";
    case Why::Overload:
        return "no reading: overload";
    case Why::Remark:
        return "a remark";
    case Why::HeaderAgain:
        return "the header again";
    case Why::SameTime:
        return "the same time as the row before";
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
        return mapping.time == TimeForm::Epoch ? unit + " since 1970" : unit;
    }
    case TimeForm::Stamp: {
        const char* order = mapping.dateOrder == DateOrder::DayFirst     ? "day first"
                            : mapping.dateOrder == DateOrder::MonthFirst ? "month first"
                                                                         : "year first";
        return fmt::format("date and time, {}, {}", order, mapping.zone.empty() ? "UTC" : mapping.zone);
    }
    case TimeForm::Clock:
        return "h:mm:ss";
    case TimeForm::MinSec:
        return "mm:ss";
    case TimeForm::SheetDays:
        return "days of a spreadsheet";
    case TimeForm::Rows:
        return fmt::format("a row every {} s", mapping.intervalSeconds);
    }
    return "";
}

std::string columnUnitText(const formats::ColumnMapping& column) {
    const bool current = column.role == formats::ColumnRole::Current;
    const auto dimension = current ? quantity::Dimension::Ampere : quantity::Dimension::Volt;
    const std::string symbol = quantity::symbolFor(dimension, column.toSi);
    return symbol.empty() ? fmt::format("V over {:.4g} ohm", 1.0 / column.toSi) : symbol;
}

} // namespace anodex::wording
