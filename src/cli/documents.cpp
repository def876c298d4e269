// Writes a document that is made from the table of commands: man VERSION DATE, or bash, zsh or fish.
#include "cli/Documents.h"

#include <iostream>

int main(int argc, char** argv) {
    using namespace anodex::cli;
    const std::string wanted = argc > 1 ? argv[1] : "";
    if (wanted == "man" && argc == 4) {
        std::cout << manPage(argv[2], argv[3]);
    } else if (wanted == "bash") {
        std::cout << bashCompletion();
    } else if (wanted == "zsh") {
        std::cout << zshCompletion();
    } else if (wanted == "fish") {
        std::cout << fishCompletion();
    } else {
        std::cerr << "usage: man VERSION DATE, or bash, zsh or fish\n";
        return 2;
    }
    return std::cout.flush() ? 0 : 3;
}
