#include "wording/ErrorText.h"

#include <algorithm>
#include <fmt/format.h>

namespace anodex::wording {

std::string errorText(const formats::FileError& error) {
    if (error.code == formats::FileError::Code::Refused) {
        return fmt::format("{}: {} is refused in every recipe: {}", error.field, error.found, error.expected);
    }
    return fmt::format("{}: {}; right would be {}", error.field, error.found, error.expected);
}

std::string errorText(const formats::CsvError& error) {
    using Code = formats::CsvError::Code;
    switch (error.code) {
    case Code::Empty:
        return "the file is empty; a run needs lines with time and voltage";
    case Code::Binary:
        return "this is no text file; export the run as text with columns (CSV)";
    case Code::NoColumns:
        return "no columns of numbers were found; a run needs lines such as \"0,1.02,0.05\"";
    case Code::NoTime:
        return "no column is marked as time; choose the one that counts seconds or holds the date";
    case Code::NoVoltage:
        return "no column is marked as voltage; choose the one that holds volts";
    case Code::TooFewRows:
        return "fewer than two rows could be read; a run needs at least two readings";
    case Code::TimeGoesBack:
        return fmt::format("line {}: the time goes back (\"{}\"); each row must be later than the one before",
                           error.line, error.found);
    case Code::RepeatedHour:
        return fmt::format(
            "line {}: the clock goes back by up to an hour (\"{}\"): an autumn change of clocks or an error; "
            "name the time zone, such as --zone Europe/Berlin",
            error.line, error.found);
    case Code::Cancelled:
        return "the import was stopped; nothing was stored";
    case Code::NoSuchColumn: {
        const std::size_t mark = error.found.find('\x1f');
        return fmt::format("there is no column \"{}\"; right would be a number from 1 or one of {}",
                           error.found.substr(0, mark),
                           error.found.substr(std::min(mark + 1, error.found.size())));
    }
    case Code::BadSetting:
        return fmt::format(
            "\"{}\" is no unit that fits; right would be V, mV, A, mA, µA or, for a voltage over a "
            "resistor, mV/0.1ohm",
            error.found);
    case Code::UnknownZone:
        return fmt::format("\"{}\" is no time zone; right would be a name such as Europe/Berlin",
                           error.found);
    }
    return {};
}

std::string errorText(const run::RunError& error) {
    using Code = run::RunError::Code;
    switch (error.code) {
    case Code::TooFewSamples:
        return "a run needs at least two readings";
    case Code::TimeNotIncreasing:
        return fmt::format("reading {}: the time does not rise; each must be later than the one before",
                           error.sample + 1);
    case Code::NotFinite:
        return fmt::format("reading {}: not a number; leave such readings out", error.sample + 1);
    }
    return {};
}

std::string errorText(const notebook::NotebookError& error) {
    using Code = notebook::NotebookError::Code;
    switch (error.code) {
    case Code::NotANotebook:
        return "this file is no notebook of this program; open a file that ends in .anodex";
    case Code::Newer:
        return "this notebook was written by a newer version; update the program to open it";
    case Code::Damaged:
        return fmt::format("the notebook is damaged ({}); open a copy of it or its backup", error.detail);
    case Code::LockedElsewhere:
        return fmt::format("the notebook is open elsewhere ({}); close it there first", error.detail);
    case Code::CannotOpen:
        return fmt::format("the notebook cannot be opened ({}); check the folder and its permissions",
                           error.detail);
    case Code::ReadOnly:
        return "the notebook can only be read here; copy it to a folder that can be written to change it";
    case Code::DiskFull:
        return "the disk is full; make room and try again, nothing was lost";
    case Code::Failed:
        return fmt::format("the change was not stored ({}); nothing was lost", error.detail);
    case Code::NotFound:
        return fmt::format("{} is not in the notebook any more", error.detail);
    case Code::Moved:
        return fmt::format(
            "{} was moved, replaced or deleted by another program; the change was not kept: write the "
            "notebook back, or to another name",
            error.detail);
    case Code::Exists:
        return fmt::format("{} is there already and is not written over; choose another name", error.detail);
    case Code::NoRoom:
        return fmt::format(
            "there is not enough room on the disk of {}; make room and try again, nothing was changed",
            error.detail);
    case Code::Stopped:
        return "it was stopped; nothing of it was kept";
    }
    return {};
}

std::string errorText(const base::Fault& fault) {
    const char* what =
        fault.kind() == base::Fault::Kind::DidNotEnd ? "did not come to an end" : "has no answer";
    return fmt::format(
        "the model's {} {} for this cell: a fault of this program, not of the design; what was there "
        "before stands, and a slightly different strength or size may work",
        fault.law(), what);
}

} // namespace anodex::wording
