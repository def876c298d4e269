// Writes a document that is made from the table of commands: man VERSION DATE, or completion.
#include "cli/Documents.h"

#include <iostream>

int main(int argc, char** argv) {
    const std::string wanted = argc > 1 ? argv[1] : "";
    if (wanted == "man" && argc == 4) {
        std::cout << anodex::cli::manPage(argv[2], argv[3]);
    } else if (wanted == "completion") {
        std::cout << anodex::cli::completion();
    } else {
        std::cerr << "usage: man VERSION DATE, or completion\n";
        return 2;
    }
    return std::cout.flush() ? 0 : 3;
}
