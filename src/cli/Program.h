// src/cli/Program.h - the command line as a function: arguments in, text out, exit code back.
//
// Exit       0 good; 1 the input is wrong (one line on `errors`); 2 usage or not built yet; 3 could
//            not be done.
#pragma once
#include "cli/Screen.h"
#include <iosfwd>
#include <string>
#include <vector>

namespace anodex::cli {

[[nodiscard]] int run(const std::vector<std::string>& arguments, std::ostream& output, std::ostream& errors,
                      const Screen& screen = {});

} // namespace anodex::cli
