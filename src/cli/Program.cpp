#include "cli/Program.h"

#include "cli/Command.h"
#include "cli/OneLine.h"
#include "core/chemistry/NameLookup.h"
#include "wording/ErrorText.h"
#include "wording/Listing.h"

#include <CLI/CLI.hpp>
#include <algorithm>
#include <ostream>

namespace anodex::cli {
namespace {

constexpr const char* kNotBuiltYet[] = {"mix",      "simulate", "pack",   "sheet", "record",
                                        "protocol", "schema",   "export", "import"};

void describe(CLI::App& app, const Command& command, bool& json, std::map<std::string, std::string>& values) {
    CLI::App* sub = app.add_subcommand(command.name, command.help);
    const auto add = [&](const Option& option) {
        if (*option.value == '\0') {
            sub->add_flag(option.name, json, option.help);
            return;
        }
        CLI::Option* added = sub->add_option(option.name, values[option.name], option.help);
        if (option.name[0] == '-') {
            added->type_name(option.value);
        }
        added->required(option.required);
    };
    for (const Option& option : command.options) {
        add(option);
    }
    for (const Option& option : commonOptions()) {
        add(option);
    }
}

std::vector<std::string> commandNames() {
    std::vector<std::string> names;
    for (const Command& command : commands()) {
        names.emplace_back(command.name);
    }
    return names;
}

/// A command nobody knows is named, with the one that was probably meant.
void refuseUnknown(const std::vector<std::string>& arguments) {
    if (arguments.empty()) {
        throw Stop{kUsage, "a command is missing; right would be " + wording::choiceOf(commandNames()) +
                               "; try --help"};
    }
    const std::string& first = arguments.front();
    if (first.starts_with("-")) {
        return;
    }
    if (std::find(std::begin(kNotBuiltYet), std::end(kNotBuiltYet), first) != std::end(kNotBuiltYet)) {
        throw Stop{kUsage, first + ": not yet"};
    }
    const std::vector<std::string> names = commandNames();
    if (std::find(names.begin(), names.end(), first) == names.end()) {
        const std::string near = chemistry::nearestName(first, names);
        throw Stop{kUsage, "\"" + first + "\" is no command; right would be " +
                               (near.empty() ? std::string("one that --help lists") : near)};
    }
}

int runChecked(const std::vector<std::string>& arguments, std::ostream& output) {
    refuseUnknown(arguments);
    CLI::App app("Predicts and judges homemade electrochemical cells", "anodex-cli");
    bool json = false;
    std::map<std::string, std::map<std::string, std::string>> values;
    for (const Command& command : commands()) {
        describe(app, command, json, values[command.name]);
    }
    app.require_subcommand(1);
    std::vector<std::string> reversed(arguments.rbegin(), arguments.rend());
    int exit = kGood;
    try {
        app.parse(reversed);
        for (const Command& command : commands()) {
            if (app.got_subcommand(command.name)) {
                exit = command.run(Call(values[command.name], {output, json}));
            }
        }
    } catch (const CLI::CallForHelp&) {
        output << app.help();
    }
    // A full disk or a closed pipe is told, not passed over.
    if (!output.flush()) {
        throw Stop{kCouldNot, "the output could not be written; check the disk and what reads it"};
    }
    return exit;
}

} // namespace

int run(const std::vector<std::string>& arguments, std::ostream& output, std::ostream& errors) {
    const auto stopWith = [&](int exit, const std::string& line) {
        errors << oneLine(line) << '\n';
        return exit;
    };
    try {
        return runChecked(arguments, output);
    } catch (const CLI::ParseError& error) {
        return stopWith(kUsage, std::string(error.what()) + "; try --help");
    } catch (const Stop& stop) {
        return stopWith(stop.exit, stop.line);
    } catch (const base::Fault& fault) {
        return stopWith(kCouldNot, "anodex-cli: " + wording::errorText(fault));
    } catch (const std::bad_alloc&) {
        return stopWith(kCouldNot, "anodex-cli: not enough memory for this");
    } catch (const std::exception&) {
        return stopWith(kCouldNot,
                        "anodex-cli: a fault of this program; please keep the file it happened with");
    }
}

} // namespace anodex::cli
