#include "cli/Program.h"

#include "core/base/FreedMemory.h"
#include "wording/Texts.h"

#include <algorithm>
#include <iostream>

int main(int argc, char** argv) {
    anodex::base::keepFreedMemory();
    const std::vector<std::string> arguments(argv + 1, argv + argc);
    // What a program reads is the same in every language.
    if (std::none_of(arguments.begin(), arguments.end(),
                     [](const std::string& one) { return one.starts_with("--json"); })) {
        anodex::wording::Texts::useOfDesktop();
    }
    return anodex::cli::run(arguments, std::cout, std::cerr, anodex::cli::screenOfTerminal());
}
