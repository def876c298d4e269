// src/formats/run/RunReading.h - how a recorded run may be read, and what reading it brought.
//
// Sign       the result counts discharge positive.
#pragma once
#include "core/record/Record.h"
#include <optional>
#include <string>
#include <tl/expected.hpp>
#include <vector>

namespace anodex::formats {

enum class ColumnRole { Ignored, Time, Voltage, Current, Date };

/// How a time cell is written.
enum class TimeForm {
    Elapsed,   ///< A number in the column's unit.
    Stamp,     ///< Date and time.
    Clock,     ///< h:mm:ss, of the day or elapsed; days before it or hours over 24 are fine.
    MinSec,    ///< mm:ss
    Epoch,     ///< A number since 1970-01-01 UTC, in the column's unit.
    SheetDays, ///< Days since 1899-12-30, as spreadsheets count.
    Rows       ///< None: one row each interval.
};

enum class DateOrder { YearFirst, DayFirst, MonthFirst };

struct ColumnMapping {
    ColumnRole role = ColumnRole::Ignored;
    double toSi = 1.0; ///< Factor from the column's unit to s, V or A; of a voltage over a resistor 1/ohm.
    bool operator==(const ColumnMapping&) const = default;
};

struct CsvMapping {
    char delimiter = ','; ///< ' ': any number of blanks; '=': names with values.
    bool decimalComma = false;
    std::size_t headerLines = 0;
    std::vector<ColumnMapping> columns;
    TimeForm time = TimeForm::Elapsed;
    DateOrder dateOrder = DateOrder::YearFirst;
    double intervalSeconds = 0.0; ///< For TimeForm::Rows.
    bool newestFirst = false;
    bool currentPositiveOnCharge = false;
    std::string zone; ///< Of stamps without an offset, by its name in the time zone database; empty: UTC.
    bool operator==(const CsvMapping&) const = default;
};

/// What the reader of a file says beforehand; everything left open is weighed.
struct CsvSettings {
    std::optional<std::string> time;    ///< A column by name or number from 1; "none" with an interval.
    std::optional<std::string> voltage; ///< Same.
    std::optional<std::string> current; ///< Same, or "none".
    std::optional<std::string> timeUnit;
    std::optional<std::string> voltageUnit;
    std::optional<std::string> currentUnit; ///< Or "mV/0.1ohm": the voltage over a resistor.
    std::optional<bool> currentPositiveOnCharge;
    std::optional<DateOrder> dateOrder;
    std::optional<double> intervalSeconds;
    std::optional<bool> decimalComma;
    std::string zone;
    std::optional<double> openCircuitVolts; ///< Of the cell, where it is known: what is possible.
    std::optional<double> shortCircuitAmps;
};

/// One aspect of how a file is read, with everything it may be.
struct CsvAspect {
    enum class Kind {
        Decimal,
        TimeColumn,
        TimeUnit,
        DateOrder,
        VoltageColumn,
        VoltageUnit,
        CurrentColumn,
        CurrentUnit,
        Sign
    };
    struct Choice {
        std::string value; ///< As an option takes it: "mV", "day-first", the column's name.
        CsvMapping mapping;
        double odds = 0.0; ///< Of 1 in all.
    };
    Kind kind = Kind::VoltageUnit;
    std::vector<Choice> choices; ///< The likeliest first.
    bool asked = false;          ///< Not sure enough to be taken.
};

struct CsvPreview {
    CsvMapping mapping;    ///< The likeliest reading of all.
    std::string signature; ///< Same for every file with the same header and shape.
    std::vector<std::string> columnNames;
    std::vector<std::vector<std::string>> rows; ///< The first rows as text.
    std::vector<CsvAspect> aspects;
    bool complete = false; ///< A time and a voltage column were found.
    std::string encoding;  ///< "UTF-8", "UTF-16", "Latin-1", with "gzip" before it.

    [[nodiscard]] std::vector<CsvAspect> questions() const;
    /// Odds of the least certain aspect.
    [[nodiscard]] double certainty() const;
};

struct CsvError {
    enum class Code {
        Empty,
        Binary,
        NoColumns,
        NoTime,
        NoVoltage,
        TooFewRows,
        TimeGoesBack,
        RepeatedHour,
        Cancelled,
        NoSuchColumn,
        BadSetting,
        UnknownZone
    };
    Code code;
    std::size_t line = 0; ///< 1 for the first; 0 when no line is at fault.
    std::string found;
};

struct SkippedRow {
    std::size_t line = 0;
    enum class Why {
        Short,
        NoTime,
        NoVoltage,
        NoCurrent,
        Overload,
        Remark,
        HeaderAgain,
        SameTime
    } why = Why::Short;
};

struct CsvRun {
    record::RunSamples samples;
    std::optional<record::Millis> started; ///< When the file has calendar time.
    std::size_t rowsSkipped = 0;           ///< Remarks and repeated headers aside.
    std::size_t firstSkippedLine = 0;
    std::vector<SkippedRow> skipped; ///< The first hundred, of every kind.
};

} // namespace anodex::formats
