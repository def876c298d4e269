#include "cli/Command.h"
#include "cli/Documents.h"

#include <algorithm>

namespace anodex::cli {
namespace {

std::string joined(const std::vector<std::string>& words) {
    std::string text;
    for (const std::string& word : words) {
        text += (text.empty() ? "" : " ") + word;
    }
    return text;
}

std::vector<std::string> names() {
    std::vector<std::string> all;
    for (const Command& command : commands()) {
        all.emplace_back(command.name);
    }
    return all;
}

/// Of the command and of every command.
std::vector<Option> optionsOf(const Command& command) {
    std::vector<Option> options;
    for (const std::vector<Option>* list : {&command.options, &commonOptions()}) {
        std::copy_if(list->begin(), list->end(), std::back_inserter(options),
                     [](const Option& option) { return !option.isPlace(); });
    }
    return options;
}

std::string optionNames(const Command& command) {
    std::vector<std::string> all;
    for (const Option& option : optionsOf(command)) {
        all.emplace_back(option.name);
    }
    all.emplace_back("--help");
    return joined(all);
}

/// What its first place can hold; empty where that is a file or a text.
std::vector<std::string> choicesOf(const Command& command) {
    for (const Option& option : command.options) {
        if (!option.choices.empty()) {
            return option.choices;
        }
    }
    return {};
}

/// Between single quotes of a shell.
std::string quoted(const std::string& text) {
    std::string safe;
    for (const char c : text) {
        safe += c == '\'' ? "\u2019" : std::string(1, c);
    }
    return "'" + safe + "'";
}

/// Within the brackets of zsh's _arguments.
std::string plain(std::string text) {
    for (char& c : text) {
        c = c == '[' || c == ']' || c == ':' ? ' ' : c;
    }
    return text;
}

} // namespace

std::string bashCompletion() {
    std::string cases;
    for (const Command& command : commands()) {
        cases += "        " + std::string(command.name) + ") options=\"" + optionNames(command) +
                 "\" words=\"" + joined(choicesOf(command)) + "\" ;;\n";
    }
    return "# Completion of anodex-cli for bash, made from its table of commands.\n"
           "_anodex_cli() {\n"
           "    local current=\"${COMP_WORDS[COMP_CWORD]}\" options=\"\" words=\"\"\n"
           "    if [ \"$COMP_CWORD\" -eq 1 ]; then\n"
           "        mapfile -t COMPREPLY < <(compgen -W \"" +
           joined(names()) +
           " --help\" -- \"$current\")\n"
           "        return\n"
           "    fi\n"
           "    case \"${COMP_WORDS[1]}\" in\n" +
           cases +
           "    esac\n"
           "    if [[ \"$current\" == -* ]]; then\n"
           "        mapfile -t COMPREPLY < <(compgen -W \"$options\" -- \"$current\")\n"
           "    elif [ -n \"$words\" ] && [ \"$COMP_CWORD\" -eq 2 ]; then\n"
           "        mapfile -t COMPREPLY < <(compgen -W \"$words\" -- \"$current\")\n"
           "    else\n"
           "        mapfile -t COMPREPLY < <(compgen -f -- \"$current\")\n"
           "    fi\n"
           "}\n"
           "complete -o filenames -F _anodex_cli anodex-cli\n";
}

std::string zshCompletion() {
    std::string described;
    std::string cases;
    for (const Command& command : commands()) {
        described += "        " + quoted(std::string(command.name) + ":" + plain(helpOf(command))) + "\n";
        cases += "        " + std::string(command.name) + ")\n            _arguments";
        for (const Option& option : optionsOf(command)) {
            const bool common =
                std::any_of(commonOptions().begin(), commonOptions().end(),
                            [&](const Option& one) { return std::string(one.name) == option.name; });
            const std::string help = common ? helpOfCommon(option.name) : helpOf(command, option);
            cases += " \\\n                " +
                     quoted(std::string(option.name) + "[" + plain(help) + "]" +
                            (*option.value == '\0' ? "" : ":" + std::string(option.value) + ":_files"));
        }
        const std::string words = joined(choicesOf(command));
        cases += " \\\n                " +
                 quoted(words.empty() ? "*:file:_files" : "1:kind:(" + words + ")") + "\n            ;;\n";
    }
    return "#compdef anodex-cli\n"
           "# Completion of anodex-cli for zsh, made from its table of commands.\n"
           "_anodex_cli() {\n"
           "    local -a commands\n"
           "    commands=(\n" +
           described +
           "    )\n"
           "    if (( CURRENT == 2 )); then\n"
           "        _describe command commands\n"
           "        return\n"
           "    fi\n"
           "    local chosen=${words[2]}\n"
           "    shift words\n"
           "    (( CURRENT-- ))\n"
           "    case $chosen in\n" +
           cases +
           "    esac\n"
           "}\n"
           "_anodex_cli \"$@\"\n";
}

std::string fishCompletion() {
    const std::string none = "not __fish_seen_subcommand_from " + joined(names());
    std::string text = "# Completion of anodex-cli for fish, made from its table of commands.\n";
    for (const Command& command : commands()) {
        text += "complete -c anodex-cli -n " + quoted(none) + " -f -a " + command.name + " -d " +
                quoted(helpOf(command)) + "\n";
        const std::string seen =
            "complete -c anodex-cli -n " + quoted(std::string("__fish_seen_subcommand_from ") + command.name);
        for (const Option& option : optionsOf(command)) {
            text += seen + " -l " + std::string(option.name).substr(2) +
                    (*option.value == '\0' ? "" : " -r") + "\n";
        }
        if (const auto words = choicesOf(command); !words.empty()) {
            text += seen + " -f -a " + quoted(joined(words)) + "\n";
        }
    }
    return text;
}

} // namespace anodex::cli
