#include "wording/ErrorText.h"

#include "wording/Texts.h"

#include <algorithm>

namespace anodex::wording {

namespace {

/// Of a file's error: its English is its id, after "file."; what stands in the file stands as it is.
std::string fileWords(base::Said said) {
    const std::string written = said.id;
    said.id = "file." + said.id;
    return Texts::english().has(said.id) ? text(said) : written;
}

std::string placeText(const formats::FileError& error) {
    if (error.line == 0) {
        return fileWords(error.field);
    }
    return text({error.field.empty() ? "error.file.line" : "error.file.line-of",
                 {{"field", error.field}, {"number", std::to_string(error.line)}}});
}

} // namespace

std::string errorText(const formats::FileError& error) {
    const std::map<std::string, base::SaidValue> values = {{"field", placeText(error)},
                                                           {"found", fileWords(error.found)},
                                                           {"expected", fileWords(error.expected)}};
    if (error.code == formats::FileError::Code::Refused) {
        return text({"error.file.refused", values});
    }
    return text({"error.file.other", values});
}

std::string errorText(const formats::CsvError& error) {
    using Code = formats::CsvError::Code;
    switch (error.code) {
    case Code::Empty:
        return text("error.csv.empty");
    case Code::Binary:
        return text("error.csv.binary");
    case Code::NoColumns:
        return text("error.csv.no-columns");
    case Code::NoTime:
        return text("error.csv.no-time");
    case Code::NoVoltage:
        return text("error.csv.no-voltage");
    case Code::TooFewRows:
        return text("error.csv.too-few-rows");
    case Code::TimeGoesBack:
        return text(
            {"error.csv.time-goes-back", {{"line", std::to_string(error.line)}, {"found", error.found}}});
    case Code::RepeatedHour:
        return text(
            {"error.csv.repeated-hour", {{"line", std::to_string(error.line)}, {"found", error.found}}});
    case Code::Cancelled:
        return text("error.csv.cancelled");
    case Code::NoSuchColumn: {
        const std::size_t mark = error.found.find('\x1f');
        return text({"error.csv.no-such-column",
                     {{"found", error.found.substr(0, mark)},
                      {"columns", error.found.substr(std::min(mark + 1, error.found.size()))}}});
    }
    case Code::BadSetting:
        return text({"error.csv.bad-setting", {{"found", error.found}}});
    case Code::UnknownZone:
        return text({"error.csv.unknown-zone", {{"found", error.found}}});
    }
    return {};
}

std::string errorText(const run::RunError& error) {
    using Code = run::RunError::Code;
    switch (error.code) {
    case Code::TooFewSamples:
        return text("error.run.too-few-samples");
    case Code::TimeNotIncreasing:
        return text({"error.run.time-not-increasing", {{"number", std::to_string(error.sample + 1)}}});
    case Code::NotFinite:
        return text({"error.run.not-finite", {{"number", std::to_string(error.sample + 1)}}});
    }
    return {};
}

std::string errorText(const notebook::NotebookError& error) {
    using Code = notebook::NotebookError::Code;
    switch (error.code) {
    case Code::NotANotebook:
        return text("error.notebook.not-a-notebook");
    case Code::Newer:
        return text("error.notebook.newer");
    case Code::Damaged:
        return text({"error.notebook.damaged", {{"detail", text(error.detail)}}});
    case Code::LockedElsewhere:
        return text({"error.notebook.locked-elsewhere", {{"detail", text(error.detail)}}});
    case Code::CannotOpen:
        return text({"error.notebook.cannot-open", {{"detail", text(error.detail)}}});
    case Code::ReadOnly:
        return text("error.notebook.read-only");
    case Code::DiskFull:
        return text("error.notebook.disk-full");
    case Code::Failed:
        return text({"error.notebook.failed", {{"detail", text(error.detail)}}});
    case Code::NotFound:
        return text({"error.notebook.not-found", {{"detail", text(error.detail)}}});
    case Code::Moved:
        return text({"error.notebook.moved", {{"detail", text(error.detail)}}});
    case Code::Exists:
        return text({"error.notebook.exists", {{"detail", text(error.detail)}}});
    case Code::NoRoom:
        return text({"error.notebook.no-room", {{"detail", text(error.detail)}}});
    case Code::Stopped:
        return text("error.notebook.stopped");
    }
    return {};
}

std::string errorText(const base::Fault& fault) {
    const bool endless = fault.kind() == base::Fault::Kind::DidNotEnd;
    return text(
        {endless ? "error.model.did-not-end" : "error.model.no-answer", {{"law", std::string(fault.law())}}});
}

} // namespace anodex::wording
