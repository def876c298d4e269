#include "cli/Program.h"

#include "cli/AnalyseCommand.h"
#include "cli/CatalogueCommand.h"
#include "cli/EvaluateCommand.h"
#include "cli/NotebookCommand.h"
#include "cli/ScreenCommand.h"
#include "cli/SolutionCommand.h"
#include "wording/ErrorText.h"
#include "wording/Quantities.h"

#include <CLI/CLI.hpp>
#include <algorithm>
#include <ostream>

namespace anodex::cli {
namespace {

constexpr const char* kNotBuiltYet[] = {"mix", "simulate", "pack"};

/// CLI11 reads numbers with the C library, which follows the locale; ours never does.
std::optional<double> numberOption(const std::string& name, const std::string& text) {
    if (text.empty()) {
        return std::nullopt;
    }
    const auto parsed = wording::parseQuantity(text);
    const bool whole = parsed && parsed->used == text.size();
    const bool fits = whole && (parsed->dimension == wording::Dimension::None ||
                                parsed->dimension == wording::Dimension::Ampere);
    if (!fits) {
        throw Stop{kUsage, name + ": \"" + text + "\" is no number; right would be a number such as 0.05"};
    }
    return parsed->value;
}

int countOption(const std::string& name, const std::string& text, int fallback, int least) {
    const auto value = numberOption(name, text);
    if (!value) {
        return fallback;
    }
    if (*value != std::floor(*value) || *value < least || *value > 1e6) {
        throw Stop{kUsage, name + ": \"" + text +
                               "\" does not fit; right would be a whole number of at least " +
                               std::to_string(least)};
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
    analyse->add_option("--unit", arguments.analyse.units, "Units, as in voltage=mV,time=ms,current=mV/0.1ohm");
    analyse->add_option("--sign", arguments.analyse.sign, "What a positive current means: charge or discharge");
    analyse->add_option("--date-order", arguments.analyse.dateOrder, "year-first, day-first or month-first");
    analyse->add_option("--interval", arguments.analyse.interval, "Time between rows of a file that has none, as in 10s");
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
    notebook->add_option("VERB", arguments.verb, "info or check")->required();
    app.require_subcommand(1);
}

int dispatch(const CLI::App& app, Arguments& arguments, std::ostream& output) {
    const Console console{output, arguments.json};
    if (app.got_subcommand("notebook")) {
        const NotebookReport report = inspectNotebook(arguments.notebook, arguments.verb);
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
        print(console, evaluateCell(catalogue, arguments.evaluate));
    } else if (app.got_subcommand("solution")) {
        print(console, describeSolution(catalogue, arguments.liquid));
    } else if (app.got_subcommand("analyse")) {
        print(console, analyseFile(catalogue, arguments.analyse));
    } else if (app.got_subcommand("screen")) {
        arguments.screen.top = countOption("--top", arguments.top, 20, 1);
        print(console, screenShelf(catalogue, arguments.screen));
    } else {
        print(console, listCatalogue(catalogue, arguments.kind));
    }
    return kGood;
}

} // namespace

int run(const std::vector<std::string>& arguments, std::ostream& output, std::ostream& errors) {
    if (!arguments.empty() && std::find(std::begin(kNotBuiltYet), std::end(kNotBuiltYet),
                                        arguments.front()) != std::end(kNotBuiltYet)) {
        errors << arguments.front() << ": not yet\n";
        return kUsage;
    }
    Arguments parsed;
    CLI::App app("Predicts and judges homemade electrochemical cells", "anodex-cli");
    describe(app, parsed);
    std::vector<std::string> reversed(arguments.rbegin(), arguments.rend());
    try {
        app.parse(reversed);
        return dispatch(app, parsed, output);
    } catch (const CLI::CallForHelp&) {
        output << app.help();
        return kGood;
    } catch (const CLI::ParseError& error) {
        errors << error.what() << "; try --help\n";
        return kUsage;
    } catch (const Stop& stop) {
        errors << stop.line << '\n';
        return stop.exit;
    } catch (const base::Fault& fault) {
        errors << "anodex-cli: " << wording::errorText(fault) << '\n';
        return kCouldNot;
    } catch (const std::exception& error) {
        errors << "anodex-cli: " << error.what() << '\n';
        return kCouldNot;
    }
}

} // namespace anodex::cli
