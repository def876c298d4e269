// src/cli/Command.h - a command as a row of a table: what it is called, takes and does. Help, man page and
// completion are made from it.
//
// To add one: a file here that defines its ...Command(), its name in Commands.cpp, and a line of help for it and
// each of its options in data/texts: "help.evaluate", "help.evaluate.--curve".
#pragma once
#include "cli/Report.h"
#include <map>
#include <optional>
#include <string>
#include <vector>

namespace anodex::cli {

struct Option {
    const char* name;      ///< "--curve" takes a value; "CELL" is told by its place.
    const char* value;     ///< What stands for the value in help: "POINTS"; of a place, what it is.
    bool required = false; ///< Of a place.
    std::vector<std::string> choices = {}; ///< All that may stand there, where they can be listed.

    [[nodiscard]] bool isPlace() const { return name[0] != '-'; }
};

/// What was typed, and where the answer goes.
class Call {
public:
    Call(std::map<std::string, std::string> values, Console console)
        : m_values(std::move(values)), m_console(console) {}

    /// As typed; empty when it was not.
    [[nodiscard]] const std::string& text(const std::string& option) const;
    /// Throws Stop for what is no number.
    [[nodiscard]] std::optional<double> number(const std::string& option) const;
    /// A whole number from `least` to a million; throws Stop otherwise.
    [[nodiscard]] int count(const std::string& option, int fallback, int least) const;
    /// The shipped catalogue or the one that --catalogue names; throws Stop when it does not load.
    [[nodiscard]] const chemistry::Catalogue& catalogue() const;
    [[nodiscard]] const Console& console() const { return m_console; }

private:
    std::map<std::string, std::string> m_values;
    Console m_console;
    mutable std::optional<chemistry::Catalogue> m_catalogue;
};

struct Command {
    const char* name;
    const char* example; ///< A line as it would be typed; the same in every language.
    std::vector<Option> options;
    int (*run)(const Call& call); ///< The exit code; throws Stop.
};

/// In the order help lists them.
[[nodiscard]] const std::vector<Command>& commands();
/// What every command takes.
[[nodiscard]] const std::vector<Option>& commonOptions();

/// One line in the language in use.
[[nodiscard]] std::string helpOf(const Command& command);
[[nodiscard]] std::string helpOf(const Command& command, const Option& option);
[[nodiscard]] std::string helpOfCommon(const std::string& option);

} // namespace anodex::cli
