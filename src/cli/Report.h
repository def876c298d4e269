// src/cli/Report.h - what the commands share: reading files, printing JSON or a table, stopping with one
// line.
#pragma once
#include "cli/Screen.h"
#include "cli/Stop.h"
#include "core/chemistry/Catalogue.h"
#include "formats/JsonObject.h"
#include "wording/Likely.h"
#include <iosfwd>
#include <string>

namespace anodex::cli {

struct Console {
    std::ostream& output;
    bool json = false;
    Screen screen = {};
};

[[nodiscard]] std::string readText(const std::string& path);
/// The built-in catalogue, or the one in `directory` when it is not empty.
[[nodiscard]] chemistry::Catalogue loadCatalogue(const std::string& directory);
/// A question of a text as `asks` lists it.
[[nodiscard]] formats::Json asked(const wording::Question& question);
/// JSON as it is, or as an indented table of keys and values.
void print(const Console& console, const formats::Json& json);
/// JSON as it is, or as people read it.
void print(const Console& console, const formats::Json& json,
           std::string (*plain)(const formats::Json& json, const Screen& screen));

} // namespace anodex::cli
