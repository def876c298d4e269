#include "cli/Screen.h"

#include <algorithm>
#include <cstdlib>
#include <string_view>
#include <sys/ioctl.h>
#include <unistd.h>

namespace anodex::cli {
namespace {

constexpr std::size_t kNarrowest = 40; // what is narrower is written over its edge

bool startsCharacter(char c) {
    return (static_cast<unsigned char>(c) & 0xC0U) != 0x80U;
}

bool isSet(const char* name) {
    const char* value = std::getenv(name);
    return value != nullptr && *value != '\0';
}

} // namespace

Screen screenOfTerminal() {
    Screen screen;
    if (isatty(STDOUT_FILENO) == 0) {
        return screen;
    }
    winsize size{};
    if (ioctl(STDOUT_FILENO, TIOCGWINSZ, &size) == 0 && size.ws_col > 0) {
        screen.columns = std::max<std::size_t>(kNarrowest, size.ws_col);
    }
    const char* terminal = std::getenv("TERM");
    screen.colour = !isSet("NO_COLOR") && terminal != nullptr && std::string_view(terminal) != "dumb";
    return screen;
}

std::size_t lengthOf(const std::string& text) {
    return static_cast<std::size_t>(std::count_if(text.begin(), text.end(), startsCharacter));
}

std::string wrapped(const std::string& head, const std::string& text, const Screen& screen) {
    const std::size_t indent = lengthOf(head);
    std::string lines = head;
    std::size_t at = indent;
    for (std::size_t from = 0; from < text.size();) {
        const std::size_t end = std::min(text.find(' ', from), text.size());
        const std::string word = text.substr(from, end - from);
        const std::size_t length = lengthOf(word);
        if (at > indent && at + 1 + length > screen.columns) {
            lines += "\n" + std::string(indent, ' ');
            at = indent;
        } else if (at > indent) {
            lines += ' ';
            ++at;
        }
        lines += word;
        at += length;
        from = end + 1;
    }
    return lines + "\n";
}

std::string cut(const std::string& text, const Screen& screen) {
    if (lengthOf(text) <= screen.columns) {
        return text;
    }
    std::size_t at = 0;
    for (std::size_t kept = 0; kept + 1 < screen.columns; ++kept) {
        do {
            ++at;
        } while (at < text.size() && !startsCharacter(text[at]));
    }
    return text.substr(0, at) + "…";
}

std::string coloured(const std::string& text, Colour colour, const Screen& screen) {
    if (!screen.colour || colour == Colour::Plain) {
        return text;
    }
    return (colour == Colour::Danger ? "\033[1;31m" : "\033[33m") + text + "\033[0m";
}

} // namespace anodex::cli
