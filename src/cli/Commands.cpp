#include "cli/Command.h"

namespace anodex::cli {

Command evaluateCommand();
Command solutionCommand();
Command analyseCommand();
Command catalogueCommand();
Command screenCommand();
Command readCommand();
Command pourCommand();
Command notebookCommand();

const std::vector<Command>& commands() {
    static const std::vector<Command> kCommands = {evaluateCommand(),  solutionCommand(), analyseCommand(),
                                                   catalogueCommand(), screenCommand(),   readCommand(),
                                                   pourCommand(),      notebookCommand()};
    return kCommands;
}

const std::vector<Option>& commonOptions() {
    static const std::vector<Option> kOptions = {
        {"--json", "", "Print one JSON document"},
        {"--catalogue", "FOLDER", "Catalogue files to use instead of the shipped ones"}};
    return kOptions;
}

} // namespace anodex::cli
