#include "cli/Program.h"

#include <iostream>

int main(int argc, char** argv) {
    return anodex::cli::run(std::vector<std::string>(argv + 1, argv + argc), std::cout, std::cerr);
}
