#include "formats/run/RunColumns.h"

#include "formats/run/RunCell.h"
#include "formats/run/TimeCell.h"
#include "quantity/Letters.h"

#include <algorithm>

namespace anodex::formats {
namespace {

using quantity::DecimalMark;
using quantity::Dimension;

std::vector<std::string> wordsIn(std::string_view name) {
    std::vector<std::string> words;
    std::string word;
    const auto end = [&] {
        if (!word.empty()) {
            words.push_back(quantity::lowered(word));
            word.clear();
        }
    };
    for (std::size_t i = 0; i < name.size(); ++i) {
        const char c = name[i];
        const bool letter = quantity::isLetter(c) || static_cast<unsigned char>(c) >= 0x80;
        // "cellVoltage" is two words, "mA" and "uV" are one.
        const bool hump =
            word.size() >= 2 && c >= 'A' && c <= 'Z' && name[i - 1] >= 'a' && name[i - 1] <= 'z';
        if (!letter || hump) {
            end();
        }
        if (letter) {
            word += c;
        }
    }
    end();
    return words;
}

bool isOneOf(const std::string& word, std::initializer_list<std::string_view> list) {
    return std::find(list.begin(), list.end(), word) != list.end();
}
bool begins(const std::string& word, std::initializer_list<std::string_view> list) {
    return std::any_of(list.begin(), list.end(),
                       [&](std::string_view start) { return word.starts_with(start); });
}

bool saysTime(const std::string& word) {
    return begins(word, {"time",    "zeit",  "elapsed", "timestamp", "datetime", "date",   "datum",
                         "uhrzeit", "temps", "tiempo",  "tempo",     "millis",   "second", "minute",
                         "hour",    "clock", "sekunde", "seconde",   "segundo",  "stunde", "tijd",
                         "stamp",   "dauer", "runtime", "epoch"}) ||
           isOneOf(word, {"t", "sec", "secs", "ts"});
}
bool saysVoltage(const std::string& word) {
    return begins(word,
                  {"volt", "spannung", "tension", "potential", "vbat", "vcell", "ucell", "vout", "vload"}) ||
           isOneOf(word, {"u", "v", "e", "emf", "ocv", "mv"});
}
bool saysCurrent(const std::string& word) {
    return begins(word, {"curr", "strom", "amp", "corr", "courant", "intens", "icell", "iload", "ibat",
                         "milliamp"}) ||
           isOneOf(word, {"i", "a", "ma"});
}
bool saysOther(const std::string& word) {
    return isOneOf(word, {"set",      "limit",  "max",        "maximum",  "minimum", "avg",         "mean",
                          "average",  "ref",    "reference",  "supply",   "temp",    "temperature", "count",
                          "id",       "no",     "index",      "cycle",    "step",    "power",       "charge",
                          "capacity", "energy", "resistance", "setpoint", "target",  "aux"});
}

double nameScore(const std::vector<std::string>& words, bool (*says)(const std::string&)) {
    const bool said = std::any_of(words.begin(), words.end(), says);
    const bool other = std::any_of(words.begin(), words.end(), saysOther);
    return said ? (other ? 0.5 : 2.0) : 0.0;
}

/// Units a name states: in brackets, after a stroke or "in", or its last word.
std::vector<quantity::UnitReading> unitsIn(const std::string& name) {
    std::vector<std::string> places;
    for (const auto& [open, close] : {std::pair{'[', ']'}, std::pair{'(', ')'}}) {
        const std::size_t from = name.rfind(open);
        const std::size_t to = from == std::string::npos ? from : name.find(close, from);
        if (to != std::string::npos) {
            places.push_back(name.substr(from + 1, to - from - 1));
        }
    }
    const std::size_t stroke = name.rfind('/');
    if (stroke != std::string::npos) {
        places.push_back(name.substr(stroke + 1));
    }
    const std::size_t blank = name.find_last_of(" _-.:");
    if (blank != std::string::npos) {
        places.push_back(name.substr(blank + 1));
    }
    places.push_back(name);
    for (const std::string& place : places) {
        if (auto units = quantity::readingsOf(quantity::trimmed(place)); !units.empty()) {
            return units;
        }
    }
    return {};
}

/// The unit that the first cell with one names.
std::optional<quantity::UnitReading> firstUnit(const RunTable& table, std::size_t c) {
    for (const auto& row : table.rows) {
        for (const DecimalMark mark : {DecimalMark::Point, DecimalMark::Comma}) {
            if (const auto cell = readCell(row[c], mark); cell && cell->unit) {
                return cell->unit;
            }
        }
    }
    return std::nullopt;
}

void readCells(const RunTable& table, std::size_t c, RunColumn& column) {
    if (table.rows.empty()) {
        return;
    }
    std::size_t numbers = 0;
    std::size_t stamps = 0;
    std::size_t dates = 0;
    std::size_t clocks = 0;
    std::size_t units = 0;
    for (const auto& row : table.rows) {
        const std::string& cell = row[c];
        const auto point = readCell(cell, DecimalMark::Point);
        const auto comma = readCell(cell, DecimalMark::Comma);
        units += (point && point->unit) || (comma && comma->unit) ? 1 : 0;
        const bool hasMark = cell.find_first_of(".,") != std::string::npos;
        const bool hasComma = cell.find(',') != std::string::npos;
        numbers += point || comma ? 1 : 0;
        if (hasMark && point && (!comma || !hasComma)) {
            ++column.pointOnly;
        } else if (hasMark && comma && !point) {
            ++column.commaOnly;
        } else if (hasMark && point && comma) {
            ++column.eitherWay;
        }
        const bool stamp = readStamp(cell, DateOrder::DayFirst) || readStamp(cell, DateOrder::MonthFirst);
        stamps += stamp ? 1 : 0;
        dates += readDate(cell, DateOrder::DayFirst) || readDate(cell, DateOrder::MonthFirst) ? 1 : 0;
        clocks += !stamp && readClock(cell) ? 1 : 0;
    }
    const auto share = [&](std::size_t count) {
        return static_cast<double>(count) / static_cast<double>(table.rows.size());
    };
    column.numbers = share(numbers);
    column.stamps = share(stamps);
    column.dates = share(dates);
    column.clocks = share(clocks);
    if (constexpr double kMost = 0.5; share(units) > kMost) {
        column.units = {*firstUnit(table, c)};
    }
}

} // namespace

std::optional<quantity::UnitReading> RunColumn::stated(Dimension dimension) const {
    std::optional<quantity::UnitReading> found;
    for (const quantity::UnitReading& unit : units) {
        if (unit.dimension == dimension) {
            if (found) {
                return std::nullopt;
            }
            found = unit;
        }
    }
    return found;
}

std::vector<RunColumn> columnsOf(const RunTable& table) {
    std::vector<RunColumn> columns;
    for (std::size_t c = 0; c < table.columns(); ++c) {
        RunColumn column;
        column.name = table.names[c];
        column.units = unitsIn(column.name);
        readCells(table, c, column);
        const std::vector<std::string> words = wordsIn(column.name);
        const bool other = std::any_of(words.begin(), words.end(), saysOther);
        const auto unit = [&](Dimension dimension) {
            return column.stated(dimension) ? (other ? 0.5 : 1.0) : 0.0;
        };
        column.time = std::max(nameScore(words, saysTime), unit(Dimension::Second));
        column.voltage = std::max(nameScore(words, saysVoltage), unit(Dimension::Volt));
        column.current = std::max(nameScore(words, saysCurrent), unit(Dimension::Ampere));
        columns.push_back(std::move(column));
    }
    return columns;
}

std::vector<double> numbersIn(const RunTable& table, std::size_t column, bool decimalComma) {
    const auto base = firstUnit(table, column);
    std::vector<double> values;
    for (const auto& row : table.rows) {
        const auto cell = readCell(row[column], decimalComma ? DecimalMark::Comma : DecimalMark::Point);
        if (cell && !isOverload(row[column])) {
            values.push_back(cell->unit && base ? cell->written * cell->unit->toSi / base->toSi
                                                : cell->written);
        }
    }
    return values;
}

} // namespace anodex::formats
