#include "cli/Report.h"

#include "formats/catalogue/CatalogueReader.h"
#include "wording/ErrorText.h"
#include "wording/Texts.h"

#include <filesystem>
#include <fmt/format.h>
#include <fstream>
#include <ostream>
#include <sstream>

namespace anodex::cli {
namespace {

using formats::Json;

bool isFlat(const Json& json) {
    if (!json.is_object()) {
        return false;
    }
    for (const auto& item : json.items()) {
        if (item.value().is_structured()) {
            return false;
        }
    }
    return true;
}

std::string plain(const Json& value) {
    if (value.is_string()) {
        return value.get<std::string>();
    }
    return value.is_number_float() ? fmt::format("{:.5g}", value.get<double>()) : value.dump();
}

void printTable(std::ostream& output, const Json& json, const std::string& indent) {
    for (const auto& [key, value] : json.items()) {
        if (value.is_object() || (value.is_array() && !value.empty() && value.front().is_structured())) {
            output << indent << (json.is_array() ? "-" : key) << '\n';
            printTable(output, value, indent + "  ");
        } else if (json.is_array()) {
            output << indent << "- " << plain(value) << '\n';
        } else {
            output << indent << fmt::format("{:<34} {}", key, plain(value)) << '\n';
        }
        if (json.is_array() && isFlat(value) && value.size() > 3) {
            output << '\n';
        }
    }
}

} // namespace

std::string readText(const std::string& path) {
    std::error_code problem;
    if (std::filesystem::is_directory(path, problem)) {
        throw stopAt(kCouldNot, path, wording::text("cli.a-folder"));
    }
    std::ifstream file(path, std::ios::binary);
    if (!file) {
        throw stopAt(kCouldNot, path, wording::text("cli.unreadable"));
    }
    std::ostringstream text;
    text << file.rdbuf();
    return text.str();
}

chemistry::Catalogue loadCatalogue(const std::string& directory) {
    formats::CatalogueFiles files = formats::builtInCatalogueFiles();
    if (!directory.empty()) {
        for (auto& [name, text] : files) {
            text = readText((std::filesystem::path(directory) / name).string());
        }
    }
    auto catalogue = formats::readCatalogue(files);
    if (!catalogue) {
        throw stopAt(kWrongInput, "catalogue", wording::errorText(catalogue.error()));
    }
    return std::move(*catalogue);
}

Json asked(const wording::Question& question) {
    return {{"question", question.text}, {"choices", question.choices}};
}

void print(const Console& console, const Json& json,
           std::string (*plain)(const Json& json, const Screen& screen)) {
    if (console.json) {
        print(console, json);
    } else {
        console.output << plain(json, console.screen);
    }
}

void print(const Console& console, const Json& json) {
    if (console.json) {
        console.output << json.dump(2) << '\n';
    } else {
        printTable(console.output, json, "");
    }
}

} // namespace anodex::cli
