#include "cli/Command.h"

#include "wording/Texts.h"

namespace anodex::cli {

Command evaluateCommand();
Command solutionCommand();
Command analyseCommand();
Command catalogueCommand();
Command screenCommand();
Command readCommand();
Command pourCommand();
Command notebookCommand();
Command schemaCommand();

const std::vector<Command>& commands() {
    static const std::vector<Command> kCommands = {
        evaluateCommand(), solutionCommand(), analyseCommand(),  catalogueCommand(), screenCommand(),
        readCommand(),     pourCommand(),     notebookCommand(), schemaCommand(),
    };
    return kCommands;
}

const std::vector<Option>& commonOptions() {
    static const std::vector<Option> kOptions = {{"--json", ""}, {"--catalogue", "FOLDER"}};
    return kOptions;
}

std::string helpOf(const Command& command) {
    return wording::text(std::string("help.") + command.name);
}

std::string helpOf(const Command& command, const Option& option) {
    return wording::text(std::string("help.") + command.name + "." + option.name);
}

std::string helpOfCommon(const std::string& option) {
    return wording::text("help." + option);
}

} // namespace anodex::cli
