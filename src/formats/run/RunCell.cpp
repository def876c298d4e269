#include "formats/run/RunCell.h"

#include "formats/run/TimeCell.h"
#include "quantity/Letters.h"

#include <algorithm>
#include <cmath>

namespace anodex::formats {

using quantity::trimmed;

std::optional<CellNumber> readCell(std::string_view cell, quantity::DecimalMark mark) {
    cell = trimmed(cell);
    const auto number = quantity::readNumber(cell, mark);
    if (!number || number->readings.size() != 1) {
        return std::nullopt;
    }
    const std::string_view behind = trimmed(cell.substr(number->used));
    if (behind.empty()) {
        return CellNumber{number->readings.front(), std::nullopt};
    }
    auto units = quantity::readingsOf(behind);
    return units.size() == 1 ? std::optional(CellNumber{number->readings.front(), std::move(units.front())})
                             : std::nullopt;
}

bool isValue(std::string_view cell) {
    if (cell.empty()) {
        return false;
    }
    const auto number = quantity::readNumber(cell);
    return (number && number->used == cell.size()) || readStamp(cell, DateOrder::DayFirst) ||
           readClock(cell) || readDate(cell, DateOrder::DayFirst) || readStamp(cell, DateOrder::MonthFirst) ||
           readDate(cell, DateOrder::MonthFirst);
}

bool isQuantity(std::string_view cell) {
    const auto number = quantity::readNumber(cell);
    return number && !quantity::readingsOf(trimmed(cell.substr(number->used))).empty();
}

bool isOverload(std::string_view cell) {
    const std::string text = quantity::lowered(trimmed(cell));
    for (const char* code : {"ol",       "o.l",       "0l",   "ovld", "ovl",   "ovr", "over", "overload",
                             "overflow", "overrange", "+ol",  "-ol",  "---",   "--",  "----", "nan",
                             "inf",      "-inf",      "+inf", "err",  "error", "n/a", "na",   "null"}) {
        if (text == code) {
            return true;
        }
    }
    // 9.9E37 and its like are how instruments write it as a number.
    const auto number = quantity::wholeNumber(text);
    return number && std::abs(*number) >= 9e36;
}

} // namespace anodex::formats
