// src/cli/Stop.h - how a command ends early: an exit code and one line for the user.
#pragma once
#include <string>

namespace anodex::cli {

enum ExitCode { kGood = 0, kWrongInput = 1, kUsage = 2, kCouldNot = 3 };

struct Stop {
    int exit = kCouldNot;
    std::string line;
};

} // namespace anodex::cli
