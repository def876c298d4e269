#include "formats/run/RunGuess.h"

#include "formats/run/Possible.h"
#include "formats/run/RowReader.h"
#include "formats/run/RunSign.h"
#include "formats/run/TimeCell.h"
#include "formats/run/TimeColumns.h"
#include "quantity/Letters.h"
#include "quantity/Number.h"
#include "quantity/Quantity.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace anodex::formats {
namespace {

using Code = CsvError::Code;
using Kind = CsvAspect::Kind;
using quantity::Dimension;

constexpr double kSure = 0.99;
constexpr const char* kCounts = "counts"; // of a converter whose scale is not known
constexpr double kContradicts = 2e-4;     // of a header that states another unit

bool allWhole(const std::vector<double>& values) {
    return std::all_of(values.begin(), values.end(), [](double v) { return v == std::floor(v); });
}

class Guess {
public:
    Guess(const RunTable& table, const CsvSettings& settings)
        : m_table(table), m_settings(settings), m_columns(columnsOf(table)) {
        m_at.delimiter = table.delimiter;
        m_at.headerLines = table.headerLines;
        m_at.columns.resize(table.columns());
        m_at.zone = settings.zone;
    }

    tl::expected<RunGuess, CsvError> run() {
        decimal();
        for (const auto step : {&Guess::time, &Guess::voltage, &Guess::current}) {
            if (const auto problem = (this->*step)()) {
                return tl::unexpected(*problem);
            }
        }
        sign();
        return RunGuess{m_at, std::move(m_aspects)};
    }

private:
    using Problem = std::optional<CsvError>;
    using Choice = CsvAspect::Choice;

    /// The likeliest choice is taken; it is asked about when it is not sure.
    void decide(Kind kind, std::vector<Choice> choices, bool contradicted = false) {
        double sum = 0.0;
        for (const Choice& choice : choices) {
            sum += choice.odds;
        }
        for (Choice& choice : choices) {
            choice.odds = sum > 0.0 ? choice.odds / sum : 1.0 / static_cast<double>(choices.size());
        }
        std::stable_sort(choices.begin(), choices.end(),
                         [](const Choice& a, const Choice& b) { return a.odds > b.odds; });
        CsvAspect aspect{kind, std::move(choices), false};
        aspect.asked = aspect.choices.front().odds < kSure || contradicted;
        m_at = aspect.choices.front().mapping;
        std::erase_if(aspect.choices, [](const Choice& choice) { return choice.odds < 1e-4; });
        m_aspects.push_back(std::move(aspect));
    }
    [[nodiscard]] Choice choice(std::string value, double odds, const auto& change) const {
        Choice made{std::move(value), m_at, odds};
        change(made.mapping);
        return made;
    }

    void decimal() {
        if (m_settings.decimalComma) {
            m_at.decimalComma = *m_settings.decimalComma;
            return;
        }
        std::size_t point = 0;
        std::size_t comma = 0;
        std::size_t either = 0;
        for (const RunColumn& column : m_columns) {
            point += column.pointOnly;
            comma += column.commaOnly;
            either += column.eitherWay;
        }
        m_at.decimalComma = comma > point;
        if (either == 0 && (point == 0 || comma == 0)) {
            return; // nothing to weigh
        }
        const double total = static_cast<double>(point + comma);
        double forComma = total > 0.0 ? static_cast<double>(comma) / total : 0.5;
        forComma = std::clamp(forComma, 0.001, 0.999);
        const auto with = [&](bool isComma) {
            return choice(isComma ? "comma" : "point",
                          (isComma ? forComma : 1.0 - forComma) * voltageOddsWith(isComma),
                          [&](CsvMapping& m) { m.decimalComma = isComma; });
        };
        decide(Kind::Decimal, {with(true), with(false)});
    }

    /// How possible the column that says it is a voltage is, in its stated unit or in volts.
    [[nodiscard]] double voltageOddsWith(bool comma) const {
        for (std::size_t c = 0; c < m_columns.size(); ++c) {
            if (m_columns[c].voltage >= 1.0) {
                const auto unit = m_columns[c].stated(Dimension::Volt);
                return voltsPossible(largest(numbersIn(m_table, c, comma)) * (unit ? unit->toSi : 1.0),
                                     m_settings);
            }
        }
        return 1.0;
    }

    /// A column by name or number, as a setting names it.
    [[nodiscard]] tl::expected<std::size_t, CsvError> columnNamed(const std::string& wanted) const {
        for (std::size_t c = 0; c < m_columns.size(); ++c) {
            if (quantity::lowered(m_columns[c].name) == quantity::lowered(wanted)) {
                return c;
            }
        }
        const auto number = quantity::wholeNumber(wanted);
        if (number && *number >= 1.0 && *number <= static_cast<double>(m_columns.size()) &&
            *number == std::floor(*number)) {
            return static_cast<std::size_t>(*number) - 1;
        }
        std::string names;
        for (const RunColumn& column : m_columns) {
            names += (names.empty() ? "" : ", ") + column.name;
        }
        return tl::unexpected(CsvError{Code::NoSuchColumn, 0, wanted + "\x1f" + names});
    }

    // --- time ---

    Problem time() {
        if (m_settings.intervalSeconds) {
            m_at.time = TimeForm::Rows;
            m_at.intervalSeconds = *m_settings.intervalSeconds;
            return std::nullopt;
        }
        std::vector<TimeColumn> candidates = timeColumnsOf(m_table, m_columns, m_at.decimalComma);
        if (m_settings.time) {
            const auto wanted = columnNamed(*m_settings.time);
            if (!wanted) {
                return wanted.error();
            }
            std::erase_if(candidates, [&](const TimeColumn& one) { return one.column != *wanted; });
            if (candidates.empty()) {
                candidates.push_back({*wanted, std::nullopt, TimeForm::Elapsed, 1.0});
            }
        }
        if (candidates.empty()) {
            return std::nullopt; // the reader says what is missing
        }
        std::stable_sort(candidates.begin(), candidates.end(),
                         [](const TimeColumn& a, const TimeColumn& b) { return a.odds > b.odds; });
        takeTime(candidates);
        timeUnit();
        dateOrder();
        m_at.newestFirst = fallsInTime();
        return std::nullopt;
    }

    void takeTime(const std::vector<TimeColumn>& candidates) {
        std::vector<Choice> choices;
        for (const TimeColumn& one : candidates) {
            // Another column that tells time as well agrees with it: no question which.
            const bool another =
                one.odds >= 100.0 && candidates.front().odds >= 100.0 && &one != &candidates.front();
            if (another) {
                continue;
            }
            choices.push_back(choice(m_columns[one.column].name, one.odds, [&](CsvMapping& m) {
                m.columns[one.column].role = ColumnRole::Time;
                m.time = one.form;
                if (one.date) {
                    m.columns[*one.date].role = ColumnRole::Date;
                }
            }));
        }
        decide(Kind::TimeColumn, std::move(choices));
    }

    [[nodiscard]] std::size_t timeColumn() const { return columnOf(m_at, ColumnRole::Time).value_or(0); }

    void timeUnit() {
        const std::size_t c = timeColumn();
        if (m_settings.timeUnit) {
            setTimeUnit(*m_settings.timeUnit);
            return;
        }
        if (m_at.time == TimeForm::Epoch) {
            const double first = numbersIn(m_table, c, m_at.decimalComma).front();
            m_at.columns[c].toSi = first > 5e14 ? 1e-6 : first > 5e11 ? 1e-3 : 1.0;
            return;
        }
        if (m_at.time == TimeForm::Clock) {
            clockFields(c);
            return;
        }
        if (m_at.time != TimeForm::Elapsed) {
            return;
        }
        const auto stated = m_columns[c].stated(Dimension::Second);
        if (stated) {
            m_at.columns[c].toSi = stated->toSi;
            return;
        }
        std::vector<Choice> choices;
        for (const auto& [odds, symbol] :
             {std::pair{0.6, "s"}, std::pair{0.2, "ms"}, std::pair{0.12, "min"}, std::pair{0.08, "h"}}) {
            choices.push_back(choice(symbol, odds, [&, name = symbol](CsvMapping& m) {
                m.columns[c].toSi = unitFactor(ColumnRole::Time, name).value_or(1.0);
            }));
        }
        decide(Kind::TimeUnit, std::move(choices));
    }

    void setTimeUnit(const std::string& unit) {
        const std::string text = quantity::lowered(unit);
        if (text == "mm:ss") {
            m_at.time = TimeForm::MinSec;
        } else if (text == "h:mm" || text == "hh:mm") {
            m_at.time = TimeForm::Clock;
        } else if (const auto factor = unitFactor(ColumnRole::Time, unit)) {
            m_at.columns[timeColumn()].toSi = *factor;
        }
    }

    /// "12:30" is hours and minutes or minutes and seconds.
    void clockFields(std::size_t c) {
        const bool twoFields = std::any_of(m_table.rows.begin(), m_table.rows.end(),
                                           [&](const auto& row) { return readMinSec(row[c]).has_value(); });
        if (!twoFields) {
            return;
        }
        decide(Kind::TimeUnit, {choice("h:mm", 0.5, [](CsvMapping& m) { m.time = TimeForm::Clock; }),
                                choice("mm:ss", 0.5, [](CsvMapping& m) { m.time = TimeForm::MinSec; })});
    }

    void dateOrder() {
        if (m_at.time != TimeForm::Stamp) {
            return;
        }
        if (m_settings.dateOrder) {
            m_at.dateOrder = *m_settings.dateOrder;
            return;
        }
        std::vector<Choice> choices;
        for (const auto& [order, name] :
             {std::pair{DateOrder::DayFirst, "day-first"}, std::pair{DateOrder::MonthFirst, "month-first"}}) {
            const auto [times, known, whole] = stampsOf(m_table, m_at, order);
            bool falls = false;
            const bool rises = goesOneWay(times, falls) || times.size() < 2;
            const double span = times.size() > 1 ? std::abs(times.back() - times.front()) : 0.0;
            const bool jumps =
                span > 1e9 * static_cast<double>(times.size()); // a step of eleven days and more each
            choices.push_back(choice(name, (whole ? 1.0 : 0.01) * (rises ? 1.0 : 0.01) * (jumps ? 0.02 : 1.0),
                                     [&, taken = order](CsvMapping& m) { m.dateOrder = taken; }));
            if (known && whole) {
                // The year first, a month in letters, or a day over twelve in some row.
                m_at.dateOrder = order;
                return;
            }
        }
        decide(Kind::DateOrder, std::move(choices));
    }

    [[nodiscard]] bool fallsInTime() const {
        constexpr std::size_t kEnough = 3; // a clock that jumps back once is no file turned round
        if (m_table.rows.size() < kEnough) {
            return false;
        }
        bool falls = false;
        if (m_at.time == TimeForm::Stamp) {
            return goesOneWay(stampsOf(m_table, m_at, m_at.dateOrder).times, falls) && falls;
        }
        if (m_at.time == TimeForm::Elapsed || m_at.time == TimeForm::Epoch ||
            m_at.time == TimeForm::SheetDays) {
            return goesOneWay(numbersIn(m_table, timeColumn(), m_at.decimalComma), falls) && falls;
        }
        return false;
    }

    // --- voltage and current ---

    [[nodiscard]] bool isFree(std::size_t c) const {
        return m_at.columns[c].role == ColumnRole::Ignored && m_columns[c].numbers >= 0.3;
    }

    Problem column(ColumnRole role, Kind kind, const std::optional<std::string>& wanted,
                   double (*fits)(const RunColumn&)) {
        if (wanted) {
            const auto c = columnNamed(*wanted);
            if (!c) {
                return c.error();
            }
            m_at.columns[*c].role = role;
            return std::nullopt;
        }
        std::vector<Choice> choices;
        for (std::size_t c = 0; c < m_columns.size(); ++c) {
            const double odds = isFree(c) ? fits(m_columns[c]) : 0.0;
            if (odds > 0.0) {
                choices.push_back(
                    choice(m_columns[c].name, odds, [&](CsvMapping& m) { m.columns[c].role = role; }));
            }
        }
        if (!choices.empty()) {
            decide(kind, std::move(choices));
        }
        return std::nullopt;
    }

    Problem voltage() {
        const bool anyNamed = std::any_of(m_columns.begin(), m_columns.end(),
                                          [](const RunColumn& c) { return c.voltage > 0.0; });
        const auto problem = column(ColumnRole::Voltage, Kind::VoltageColumn, m_settings.voltage,
                                    anyNamed ? [](const RunColumn& c) { return c.voltage >= 2.0 ? 500.0 : c.voltage >= 1.0 ? 400.0 : c.voltage > 0.0 ? 1.0 : 0.0; }
                                             : [](const RunColumn& c) { return c.current > 0.0 || c.units.size() == 1 ? 0.0 : 1.0; });
        return problem ? problem
                       : unitOf(ColumnRole::Voltage, Kind::VoltageUnit, m_settings.voltageUnit,
                                {"V", "mV", "µV"});
    }

    Problem current() {
        if (m_settings.current == "none") {
            return std::nullopt;
        }
        const bool anyNamed = std::any_of(m_columns.begin(), m_columns.end(),
                                          [](const RunColumn& c) { return c.current > 0.0; });
        const bool noNames = std::none_of(m_columns.begin(), m_columns.end(), [](const RunColumn& c) {
            return c.time + c.voltage + c.current > 0.0;
        });
        if (!anyNamed && !m_settings.current && !noNames) {
            return std::nullopt; // a run of voltage alone
        }
        const auto problem = column(ColumnRole::Current, Kind::CurrentColumn, m_settings.current,
                                    anyNamed ? [](const RunColumn& c) { return c.current >= 2.0 ? 500.0 : c.current >= 1.0 ? 400.0 : c.current > 0.0 ? 1.0 : 0.0; }
                                             : [](const RunColumn&) { return 1.0; });
        return problem ? problem
                       : unitOf(ColumnRole::Current, Kind::CurrentUnit, m_settings.currentUnit,
                                {"A", "mA", "µA"});
    }

    Problem unitOf(ColumnRole role, Kind kind, const std::optional<std::string>& wanted,
                   std::initializer_list<const char*> symbols) {
        const auto c = columnOf(m_at, role);
        if (!c) {
            return std::nullopt;
        }
        if (wanted) {
            const auto factor = unitFactor(role, *wanted);
            if (!factor) {
                return CsvError{Code::BadSetting, 0, *wanted};
            }
            m_at.columns[*c].toSi = *factor;
            return std::nullopt;
        }
        const auto stated = m_columns[*c].stated(dimensionOf(role));
        const std::vector<double> values = numbersIn(m_table, *c, m_at.decimalComma);
        const double most = largest(values);
        const bool whole = allWhole(values);
        std::vector<Choice> choices;
        for (const char* symbol : symbols) {
            const double toSi = *unitFactor(role, symbol);
            double odds = role == ColumnRole::Voltage ? voltsPossible(most * toSi, m_settings)
                                                      : ampsPossible(most * toSi, m_settings);
            if (stated) {
                // What is stated is believed further than what is usual reaches.
                odds = toSi == stated->toSi ? std::sqrt(odds) : odds * kContradicts;
            } else if (role == ColumnRole::Voltage) {
                // Whole numbers without a unit may be millivolts, volts or the counts of a converter.
                odds *= whole ? 0.5 : toSi == 1.0 ? 1.0 : 0.4;
            }
            if (most == 0.0 && !stated) {
                odds = toSi == 1.0 ? 1.0 : 0.0; // nothing is nothing in any unit
            }
            choices.push_back(choice(symbol, odds, [&](CsvMapping& m) { m.columns[*c].toSi = toSi; }));
        }
        if (role == ColumnRole::Voltage && whole && !stated && most > 0.0) {
            choices.push_back(choice(kCounts, 0.2, [&](CsvMapping&) {}));
        }
        decide(kind, std::move(choices));
        const bool againstHeader = stated && m_at.columns[*c].toSi != stated->toSi;
        if (againstHeader || m_aspects.back().choices.front().value == kCounts) {
            m_aspects.back().asked = true; // never against what is stated, and never counts taken for volts
        }
        return std::nullopt;
    }

    // --- sign ---

    void sign() {
        const auto c = columnOf(m_at, ColumnRole::Current);
        if (!c || !columnOf(m_at, ColumnRole::Voltage)) {
            return; // without a voltage there is nothing to see it by
        }
        if (m_settings.currentPositiveOnCharge) {
            m_at.currentPositiveOnCharge = *m_settings.currentPositiveOnCharge;
            return;
        }
        const double onCharge = oddsPositiveOnCharge(m_table, m_at, m_columns[*c].name);
        const auto with = [&](bool positive) {
            return choice(positive ? "charge" : "discharge", positive ? onCharge : 1.0 - onCharge,
                          [&](CsvMapping& m) { m.currentPositiveOnCharge = positive; });
        };
        if (onCharge >= 0.0) {
            decide(Kind::Sign, {with(false), with(true)});
        }
    }

    const RunTable& m_table;
    const CsvSettings& m_settings;
    std::vector<RunColumn> m_columns;
    CsvMapping m_at;
    std::vector<CsvAspect> m_aspects;
};

} // namespace

tl::expected<RunGuess, CsvError> guessRun(const RunTable& table, const CsvSettings& settings) {
    if (!isZone(settings.zone)) {
        return tl::unexpected(CsvError{Code::UnknownZone, 0, settings.zone});
    }
    return Guess(table, settings).run();
}

} // namespace anodex::formats
