#include "cli/ParseRefusal.h"

#include "cli/Command.h"
#include "core/chemistry/NameLookup.h"
#include "wording/Texts.h"

namespace anodex::cli {
namespace {

std::vector<std::string> optionNames(const std::vector<Option>& options) {
    std::vector<std::string> names;
    for (const Option& option : options) {
        if (!option.isPlace()) {
            names.emplace_back(option.name);
        }
    }
    return names;
}

/// What was typed and belongs to no option, with the option that was probably meant.
std::string tooMuch(const std::string& typed, const Command& command) {
    std::vector<std::string> names = optionNames(command.options);
    const std::vector<std::string> common = optionNames(commonOptions());
    names.insert(names.end(), common.begin(), common.end());
    const std::string near = typed.starts_with("-") ? chemistry::nearestName(typed, names) : std::string();
    return near.empty() ? wording::text({"cli.too-much", {{"typed", typed}}})
                        : wording::text({"cli.perhaps", {{"typed", typed}, {"right", near}}});
}

} // namespace

std::string parseRefusal(const CLI::ParseError& error, const CLI::App& app) {
    const std::string detail = error.what();
    for (const Command& command : commands()) {
        if (!app.got_subcommand(command.name)) {
            continue;
        }
        const std::vector<std::string> rest = app.remaining(true);
        if (!rest.empty()) {
            return tooMuch(rest.front(), command);
        }
        for (const std::vector<Option>* list : {&command.options, &commonOptions()}) {
            for (const Option& option : *list) {
                if (detail.starts_with(std::string(option.name) + (option.isPlace() ? " " : ":"))) {
                    return option.isPlace() ? wording::text({"cli.place-missing", {{"place", option.name}}})
                                            : wording::text({"cli.value-missing", {{"option", option.name}}});
                }
            }
        }
    }
    const std::vector<std::string> rest = app.remaining();
    return rest.empty() ? wording::text({"cli.cannot-read-line", {{"detail", detail}}})
                        : wording::text({"cli.too-much", {{"typed", rest.front()}}});
}

} // namespace anodex::cli
