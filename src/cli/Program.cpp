#include "cli/Program.h"

#include "cli/AnalyseCommand.h"
#include "cli/CatalogueCommand.h"
#include "cli/EvaluateCommand.h"
#include "cli/EvaluateText.h"
#include "cli/NotebookCommand.h"
#include "cli/OneLine.h"
#include "cli/PourCommand.h"
#include "cli/ReadCommand.h"
#include "cli/ScreenCommand.h"
#include "cli/SolutionCommand.h"
#include "core/chemistry/NameLookup.h"
#include "wording/ErrorText.h"
#include "wording/TypedValue.h"

#include <CLI/CLI.hpp>
#include <algorithm>
#include <ostream>

namespace anodex::cli {
namespace {

constexpr const char* kNotBuiltYet[] = {"mix",      "simulate", "pack",   "sheet", "record",
                                        "protocol", "schema",   "export", "import"};
constexpr const char* kCommands[] = {"evaluate", "solution", "analyse", "catalogue",
                                     "screen",   "read",     "pour",    "notebook"};

/// CLI11 reads numbers with the C library, which follows the locale; ours never does.
std::optional<double> numberOption(const std::string& name, const std::string& text) {
    if (text.empty()) {
        return std::nullopt;
    }
    const wording::TypedValue value = wording::typedValue(text, wording::Dimension::Ampere, 1.0);
    if (!value.si) {
        throw Stop{kUsage, name + ": " +
                               (value.choices.empty()
                                    ? "\"" + text + "\" is no number; right would be a number such as 0.05"
                                    : wording::whichOf(text, value.choices))};
    }
    return value.si;
}

int countOption(const std::string& name, const std::string& text, int fallback, int least) {
    const auto value = numberOption(name, text);
    if (!value) {
        return fallback;
    }
    if (*value != std::floor(*value) || *value < least || *value > 1e6) {
        throw Stop{kUsage, name + ": \"" + text +
                               "\" does not fit; right would be a whole number of at least " +
                               std::to_string(least) + " and at most 1000000"};
    }
    return static_cast<int>(*value);
}

struct Arguments {
    bool json = false;
    std::string catalogueDirectory;
    EvaluateRequest evaluate;
    std::string amps;
    std::string curve;
    std::string samples;
    AnalyseRequest analyse;
    std::string liquid;
    std::string kind;
    std::string notebook;
    std::string verb;
    std::string other;
    std::string text;
    std::string textCell;
    ScreenRequest screen;
    std::string top;
};

void describe(CLI::App& app, Arguments& arguments) {
    const auto common = [&](CLI::App* command) {
        command->add_flag("--json", arguments.json, "Print one JSON document");
        command->add_option("--catalogue", arguments.catalogueDirectory,
                            "Folder of catalogue files to use instead");
        return command;
    };
    CLI::App* evaluate = common(app.add_subcommand("evaluate", "What the model says about a cell file"));
    evaluate->add_option("CELL", arguments.evaluate.cellPath, "*.cell.json")->required();
    evaluate->add_option("--current", arguments.amps, "Also the losses at this current, A");
    evaluate->add_option("--curve", arguments.curve, "Points of the curve, 2 or more (200)");
    evaluate->add_option("--samples", arguments.samples, "Worlds for the ranges; 0 leaves them out (200)");
    CLI::App* solution = common(app.add_subcommand("solution", "What a liquid holds once it has settled"));
    solution->add_option("LIQUID", arguments.liquid, "*.liquid.json")->required();
    CLI::App* analyse = common(app.add_subcommand("analyse", "What a recorded run delivered"));
    analyse->add_option("RUN", arguments.analyse.runPath, "Text with columns")->required();
    analyse->add_option("--cell", arguments.analyse.cellPath, "The cell it was recorded on");
    analyse->add_option("--time", arguments.analyse.time, "The column of time, by name or number");
    analyse->add_option("--voltage", arguments.analyse.voltage, "The column of voltage");
    analyse->add_option("--current", arguments.analyse.current, "The column of current, or none");
    analyse->add_option("--unit", arguments.analyse.units,
                        "Units, as in voltage=mV,time=ms,current=mV/0.1ohm");
    analyse->add_option("--sign", arguments.analyse.sign,
                        "What a positive current means: charge or discharge");
    analyse->add_option("--date-order", arguments.analyse.dateOrder, "year-first, day-first or month-first");
    analyse->add_option("--interval", arguments.analyse.interval,
                        "Time between rows of a file that has none, as in 10s");
    analyse->add_option("--decimal", arguments.analyse.decimal, "comma or point");
    analyse->add_option("--zone", arguments.analyse.zone, "Time zone of stamps, as in Europe/Berlin (UTC)");
    CLI::App* catalogue = common(app.add_subcommand("catalogue", "The entries of one kind"));
    catalogue
        ->add_option("KIND", arguments.kind,
                     "substances, liquids, materials, separators, cases, reactions, species, rules")
        ->required();
    CLI::App* screen = common(app.add_subcommand("screen", "The best cells from what a shelf holds"));
    screen->add_option("SHELF", arguments.screen.shelfPath, "*.shelf.json")->required();
    screen->add_option("--by", arguments.screen.by, "voltage, power, life, cost or safety (voltage)");
    screen->add_option("--top", arguments.top, "How many to list (20)");
    CLI::App* notebook = common(app.add_subcommand("notebook", "Looks into a notebook file"));
    notebook->add_option("FILE", arguments.notebook, "*.anodex")->required();
    notebook->add_option("VERB", arguments.verb, "info, check, copy OUT, rescue OUT or restore BACKUP")
        ->required();
    notebook->add_option("OTHER", arguments.other, "The other file, where the verb has one");
    CLI::App* read = common(app.add_subcommand("read", "What the entry line understands of a text"));
    read->add_option("TEXT", arguments.text, "As typed at the bench")->required();
    read->add_option("--cell", arguments.textCell, "The cell it was read on");
    CLI::App* pour = common(app.add_subcommand("pour", "What the pour line understands of a text"));
    pour->add_option("TEXT", arguments.text, "As typed beside a liquid")->required();
    app.require_subcommand(1);
}

int dispatch(const CLI::App& app, Arguments& arguments, std::ostream& output) {
    const Console console{output, arguments.json};
    if (app.got_subcommand("notebook")) {
        const NotebookReport report = inspectNotebook(arguments.notebook, arguments.verb, arguments.other);
        print(console, report.json);
        if (report.exit != kGood) {
            throw Stop{report.exit,
                       arguments.notebook + ": the notebook is damaged; open a copy of it or its backup"};
        }
        return kGood;
    }
    const chemistry::Catalogue catalogue = loadCatalogue(arguments.catalogueDirectory);
    if (app.got_subcommand("evaluate")) {
        arguments.evaluate.amps = numberOption("--current", arguments.amps);
        arguments.evaluate.curvePoints = countOption("--curve", arguments.curve, 200, 2);
        arguments.evaluate.samples = countOption("--samples", arguments.samples, 200, 0);
        const formats::Json answer = evaluateCell(catalogue, arguments.evaluate);
        if (console.json || !arguments.curve.empty()) {
            print(console, answer);
        } else {
            output << evaluateText(answer);
        }
    } else if (app.got_subcommand("solution")) {
        print(console, describeSolution(catalogue, arguments.liquid));
    } else if (app.got_subcommand("analyse")) {
        print(console, analyseFile(catalogue, arguments.analyse));
    } else if (app.got_subcommand("read")) {
        print(console, readLine(catalogue, arguments.text, arguments.textCell));
    } else if (app.got_subcommand("pour")) {
        print(console, readPourLine(catalogue, arguments.text));
    } else if (app.got_subcommand("screen")) {
        arguments.screen.top = countOption("--top", arguments.top, 20, 1);
        print(console, screenShelf(catalogue, arguments.screen));
    } else {
        print(console, listCatalogue(catalogue, arguments.kind));
    }
    return kGood;
}

} // namespace

namespace {

/// A command nobody knows is named, with the one that was probably meant.
void refuseUnknown(const std::vector<std::string>& arguments) {
    if (arguments.empty()) {
        throw Stop{
            kUsage,
            "a command is missing; right would be evaluate, solution, analyse, catalogue, screen, read, "
            "pour or notebook; try --help"};
    }
    const std::string& first = arguments.front();
    if (first.starts_with("-")) {
        return;
    }
    if (std::find(std::begin(kNotBuiltYet), std::end(kNotBuiltYet), first) != std::end(kNotBuiltYet)) {
        throw Stop{kUsage, first + ": not yet"};
    }
    if (std::find(std::begin(kCommands), std::end(kCommands), first) == std::end(kCommands)) {
        const std::string near = chemistry::nearestName(first, {std::begin(kCommands), std::end(kCommands)});
        throw Stop{kUsage, "\"" + first + "\" is no command; right would be " +
                               (near.empty() ? std::string("one that --help lists") : near)};
    }
}

int runChecked(const std::vector<std::string>& arguments, std::ostream& output) {
    refuseUnknown(arguments);
    Arguments parsed;
    CLI::App app("Predicts and judges homemade electrochemical cells", "anodex-cli");
    describe(app, parsed);
    std::vector<std::string> reversed(arguments.rbegin(), arguments.rend());
    int exit = kGood;
    try {
        app.parse(reversed);
        exit = dispatch(app, parsed, output);
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
