#include "cli/Documents.h"

#include "cli/Command.h"
#include "wording/Texts.h"

#include <algorithm>

namespace anodex::cli {
namespace {

/// With a sign that stays one, and nothing that a line must not begin with.
std::string troff(const std::string& text) {
    std::string escaped;
    for (const char c : text) {
        escaped += c == '-' ? "\\-" : c == '\\' ? "\\e" : std::string(1, c);
    }
    return escaped.starts_with(".") || escaped.starts_with("'") ? "\\&" + escaped : escaped;
}

/// In lines of at most 80 characters, as the checkers of pages want them.
std::string wrapped(const std::string& text) {
    constexpr std::size_t kLine = 80;
    std::string result;
    std::size_t length = 0;
    for (std::size_t at = 0; at < text.size();) {
        const std::size_t end = std::min(text.find(' ', at), text.size());
        const bool fits = length + 1 + end - at <= kLine;
        result += length == 0 ? "" : fits ? " " : "\n";
        length = fits && length > 0 ? length + 1 + end - at : end - at;
        result += text.substr(at, end - at);
        at = end + 1;
    }
    return result;
}

std::string synopsis(const Command& command) {
    std::string line = ".B anodex\\-cli " + troff(command.name) + "\n";
    for (const Option& option : command.options) {
        if (option.isPlace()) {
            line +=
                option.required ? ".I " + troff(option.name) + "\n" : ".RI [ " + troff(option.name) + " ]\n";
        }
    }
    return line + ".RI [ options ]\n";
}

std::string sentence(const std::string& text) {
    return wrapped(troff(text)) + "\n";
}

std::string optionText(const Option& option, const std::string& help) {
    std::string head = option.isPlace() ? ".I " + troff(option.name)
                       : *option.value == '\0'
                           ? ".B " + troff(option.name)
                           : ".BI " + troff(option.name) + " \" " + troff(option.value) + "\"";
    return ".TP\n" + head + "\n" + sentence(help + ".");
}

} // namespace

std::string manPage(const std::string& version, const std::string& date) {
    std::string page = ".TH ANODEX-CLI 1 " + date + " \"Anodex " + version + "\"\n.SH NAME\n" +
                       "anodex\\-cli \\- " + sentence(wording::text("cli.what-it-is")) + ".SH SYNOPSIS\n";
    for (const Command& command : commands()) {
        page += (&command == &commands().front() ? "" : ".br\n") + synopsis(command);
    }
    page += ".SH DESCRIPTION\n" + sentence(wording::text("cli.page.files")) +
            sentence(wording::text("cli.page.cautions")) + ".SH COMMANDS\n";
    for (const Command& command : commands()) {
        page += ".SS " + troff(command.name) + "\n" + sentence(helpOf(command) + ".");
        for (const Option& option : command.options) {
            page += optionText(option, helpOf(command, option));
        }
        page += ".PP\n.nf\n.RS\n" + troff(command.example) + "\n.RE\n.fi\n";
    }
    page += ".SH OPTIONS\n" + sentence(wording::text("cli.page.of-every"));
    for (const Option& option : commonOptions()) {
        page += optionText(option, helpOfCommon(option.name));
    }
    page += optionText({"--help", ""}, helpOfCommon("--help")) + ".SH EXIT STATUS\n";
    int status = 0;
    for (const char* meaning :
         {"cli.page.good", "cli.page.wrong-input", "cli.page.usage", "cli.page.could-not"}) {
        page += ".TP\n.B " + std::to_string(status++) + "\n" + sentence(wording::text(meaning));
    }
    return page + ".SH SEE ALSO\n.BR anodex (1)\n";
}

} // namespace anodex::cli
