#include "cli/Program.h"

#include "cli/Command.h"
#include "cli/OneLine.h"
#include "cli/ParseRefusal.h"
#include "core/chemistry/NameLookup.h"
#include "wording/ErrorText.h"
#include "wording/Listing.h"
#include "wording/Texts.h"

#include <CLI/CLI.hpp>
#include <algorithm>
#include <ostream>

namespace anodex::cli {
namespace {

constexpr const char* kProgram = "anodex-cli";
constexpr const char* kNotBuiltYet[] = {"mix",    "simulate", "pack",   "sheet",
                                        "record", "protocol", "export", "import"};

void describe(CLI::App& app, const Command& command, bool& json, std::map<std::string, std::string>& values) {
    CLI::App* sub = app.add_subcommand(command.name, helpOf(command));
    sub->group(wording::text("cli.commands"));
    sub->get_help_ptr()->group(wording::text("cli.options"));
    sub->footer(wording::text({"cli.example", {{"line", std::string(command.example)}}}));
    const auto add = [&](const Option& option, const std::string& help) {
        CLI::Option* added = *option.value == '\0' ? sub->add_flag(option.name, json, help)
                                                   : sub->add_option(option.name, values[option.name], help);
        added->group(wording::text("cli.options"))->required(option.required);
        if (*option.value != '\0') {
            added->type_name(option.isPlace() ? "" : option.value);
        }
    };
    for (const Option& option : command.options) {
        add(option, helpOf(command, option));
    }
    for (const Option& option : commonOptions()) {
        add(option, helpOfCommon(option.name));
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
        throw Stop{kUsage, wording::text({"cli.no-command", {{"right", wording::choiceOf(commandNames())}}})};
    }
    const std::string& first = arguments.front();
    if (first.starts_with("-")) {
        return;
    }
    if (std::find(std::begin(kNotBuiltYet), std::end(kNotBuiltYet), first) != std::end(kNotBuiltYet)) {
        throw stopAt(kUsage, first, wording::text("cli.not-yet"));
    }
    const std::vector<std::string> names = commandNames();
    if (std::find(names.begin(), names.end(), first) == names.end()) {
        const std::string near = chemistry::nearestName(first, names);
        throw Stop{kUsage,
                   wording::text({"cli.unknown-command",
                                  {{"typed", first},
                                   {"right", near.empty() ? wording::text("cli.right.listed") : near}}})};
    }
}

/// The parser's own words in the language in use.
void speak(CLI::App& app) {
    app.set_help_flag("-h,--help", helpOfCommon("--help"))->group(wording::text("cli.options"));
    const auto formatter = app.get_formatter();
    formatter->label("Usage", wording::text("cli.usage"));
    formatter->label("OPTIONS", wording::text("cli.options"));
    formatter->label("Positionals", wording::text("cli.places"));
    formatter->label("SUBCOMMAND", wording::text("cli.command"));
    formatter->label("REQUIRED", wording::text("cli.required"));
}

int runChecked(const std::vector<std::string>& arguments, std::ostream& output, const Screen& screen) {
    refuseUnknown(arguments);
    CLI::App app(wording::text("cli.what-it-is"), kProgram);
    speak(app);
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
                exit = command.run(Call(values[command.name], {output, json, screen}));
            }
        }
    } catch (const CLI::CallForHelp&) {
        output << app.help();
    } catch (const CLI::ParseError& error) {
        throw Stop{kUsage, parseRefusal(error, app)};
    }
    // A full disk or a closed pipe is told, not passed over.
    if (!output.flush()) {
        throw Stop{kCouldNot, wording::text("cli.output")};
    }
    return exit;
}

} // namespace

int run(const std::vector<std::string>& arguments, std::ostream& output, std::ostream& errors,
        const Screen& screen) {
    const auto stopWith = [&](int exit, const std::string& line) {
        errors << oneLine(line) << '\n';
        return exit;
    };
    try {
        return runChecked(arguments, output, screen);
    } catch (const Stop& stop) {
        return stopWith(stop.exit, stop.line);
    } catch (const base::Fault& fault) {
        return stopWith(kCouldNot, stopAt(kCouldNot, kProgram, wording::errorText(fault)).line);
    } catch (const std::bad_alloc&) {
        return stopWith(kCouldNot, stopAt(kCouldNot, kProgram, wording::text("cli.memory")).line);
    } catch (const std::exception&) {
        return stopWith(kCouldNot, stopAt(kCouldNot, kProgram, wording::text("cli.fault")).line);
    }
}

} // namespace anodex::cli
