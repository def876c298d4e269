// previewCsv: the table, its likeliest reading, and what it leaves open.
#include "formats/run/RowReader.h"
#include "formats/run/RunGuess.h"
#include "formats/run/RunText.h"

#include <algorithm>
#include <fmt/format.h>

namespace anodex::formats {

tl::expected<CsvPreview, CsvError> previewCsv(std::string_view bytes, const CsvSettings& settings) {
    auto decoded = decodeRun(bytes);
    if (!decoded) {
        return tl::unexpected(decoded.error());
    }
    const std::optional<RunTable> table = tableOf(decoded->text);
    if (!table || table->rows.empty()) {
        std::string_view text = decoded->text;
        return tl::unexpected(
            CsvError{CsvError::Code::NoColumns, 1, std::string(takeLine(text).substr(0, 60))});
    }
    auto guess = guessRun(*table, settings);
    if (!guess) {
        return tl::unexpected(guess.error());
    }
    CsvPreview preview;
    preview.mapping = std::move(guess->mapping);
    preview.aspects = std::move(guess->aspects);
    preview.encoding = decoded->encoding;
    preview.columnNames = table->names;
    constexpr std::size_t kShown = 12;
    preview.rows.assign(table->rows.begin(), table->rows.begin() + static_cast<std::ptrdiff_t>(
                                                                       std::min(kShown, table->rows.size())));
    preview.signature = fmt::format("{}{}{}{}", table->delimiter, preview.mapping.decimalComma ? 1 : 0,
                                    table->headerLines, fmt::join(table->names, "\x1f"));
    const bool hasTime =
        preview.mapping.time == TimeForm::Rows || columnOf(preview.mapping, ColumnRole::Time);
    preview.complete = hasTime && columnOf(preview.mapping, ColumnRole::Voltage);
    return preview;
}

void settle(CsvSettings& settings, CsvAspect::Kind kind, const std::string& choice) {
    using Kind = CsvAspect::Kind;
    switch (kind) {
    case Kind::Decimal:
        settings.decimalComma = choice == "comma";
        break;
    case Kind::TimeColumn:
        settings.time = choice;
        break;
    case Kind::TimeUnit:
        settings.timeUnit = choice;
        break;
    case Kind::DateOrder:
        settings.dateOrder = choice == "day-first" ? DateOrder::DayFirst : DateOrder::MonthFirst;
        break;
    case Kind::VoltageColumn:
        settings.voltage = choice;
        break;
    case Kind::VoltageUnit:
        settings.voltageUnit = choice;
        break;
    case Kind::CurrentColumn:
        settings.current = choice;
        break;
    case Kind::CurrentUnit:
        settings.currentUnit = choice;
        break;
    case Kind::Sign:
        settings.currentPositiveOnCharge = choice == "charge";
        break;
    }
}

} // namespace anodex::formats
