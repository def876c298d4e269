// src/cli/AnalyseCommand.h - `analyse RUN.csv [--cell CELL]`: what a recorded run delivered, and how its file
// was read.
#pragma once
#include "cli/Report.h"
#include <string>

namespace anodex::cli {

/// What the command line says of a file, as typed; empty where it leaves a thing to be weighed.
struct AnalyseRequest {
    std::string runPath;
    std::string cellPath;
    std::string time;
    std::string voltage;
    std::string current;
    std::string units; ///< "voltage=mV,time=ms"
    std::string sign;
    std::string dateOrder;
    std::string interval;
    std::string decimal;
    std::string zone;
};

/// Stops with the choices where two readings of the file are likely.
[[nodiscard]] formats::Json analyseFile(const chemistry::Catalogue& catalogue, const AnalyseRequest& request);

} // namespace anodex::cli
