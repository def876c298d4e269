// src/cli/Stop.h - how a command ends early: an exit code and one line for the user.
#pragma once
#include <string>

namespace anodex::cli {

enum ExitCode { kGood = 0, kWrongInput = 1, kUsage = 2, kCouldNot = 3 };

struct Stop {
    int exit = kCouldNot;
    std::string line;
};

/// With the file, option or command in front that it is about.
[[nodiscard]] Stop stopAt(int exit, const std::string& where, const std::string& what);
/// What was typed there does not fit.
[[nodiscard]] Stop misfit(const std::string& where, const std::string& typed, const std::string& right);

} // namespace anodex::cli
