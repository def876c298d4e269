#include "tests/support/Samples.h"

#include "core/design/Resolve.h"
#include "formats/CellFile.h"
#include "wording/Texts.h"

#include <cstdlib>
#include <fstream>
#include <gtest/gtest.h>
#include <nlohmann/json.hpp>
#include <ostream>
#include <sqlite3.h>
#include <sstream>

namespace anodex::base {

std::ostream& operator<<(std::ostream& output, const Said& said) {
    return output << test::told(said);
}

} // namespace anodex::base

namespace anodex::test {

std::string told(const base::Said& said) {
    return wording::Texts::english().text(said);
}

namespace {

using Json = nlohmann::ordered_json;

Json electrode(const std::string& material, double area) {
    return {{"material", material}, {"wetted_area_cm2", area}};
}

} // namespace

const chemistry::Catalogue& catalogue() {
    static const chemistry::Catalogue kCatalogue = [] {
        auto read = formats::readCatalogue(formats::builtInCatalogueFiles());
        if (!read) {
            ADD_FAILURE() << read.error().field << ": " << base::plain(read.error().found);
            return chemistry::Catalogue{};
        }
        return std::move(*read);
    }();
    return kCatalogue;
}

design::CellDesign design(const std::string& json) {
    Json text = Json::parse(json);
    text["format"] = "anodex-cell/1";
    auto read = formats::readCellFile(text.dump());
    if (!read) {
        ADD_FAILURE() << read.error().field << ": " << base::plain(read.error().found) << "; "
                      << base::plain(read.error().expected);
        return {};
    }
    return *read;
}

design::Cell cellOf(const std::string& json) {
    auto cell = design::resolve(catalogue(), design(json));
    if (!cell) {
        ADD_FAILURE() << cell.error().field << ": " << cell.error().written;
        return {};
    }
    return *cell;
}

cell::Evaluation evaluated(const std::string& json) {
    return cell::evaluate(catalogue(), cellOf(json));
}

state::Contents contentsOf(const std::string& json) {
    return state::asBuilt(catalogue(), cellOf(json));
}

Filled::Filled(const std::string& json) : Filled(cellOf(json)) {}

Filled::Filled(design::Cell built)
    : cell(std::move(built)), contents(state::asBuilt(catalogue(), cell)),
      compiled(cell::compile(catalogue(), cell)) {}

std::string beakers(double zincSide, double copperSide) {
    Json json = {
        {"temperature_C", 25}, {"negative", electrode("zinc", 10)}, {"positive", electrode("copper", 10)}};
    json["electrolyte"]["negative"] = {
        {"water_g", 100}, {"solutes", Json::array({{{"substance", "ZnSO4"}, {"mol_per_kg", zincSide}}})}};
    json["electrolyte"]["positive"] = {
        {"water_g", 100}, {"solutes", Json::array({{{"substance", "CuSO4"}, {"mol_per_kg", copperSide}}})}};
    json["separator"] = {{"material", "salt bridge"}};
    return json.dump();
}

std::string leadAcid(double massPercent) {
    Json json = {{"temperature_C", 25},
                 {"negative", electrode("lead", 50)},
                 {"positive", electrode("lead dioxide", 50)}};
    json["electrolyte"] = {
        {"volume_mL", 200},
        {"solutes", Json::array({{{"substance", "H2SO4"}, {"mass_percent", massPercent}}})}};
    return json.dump();
}

std::string lemon() {
    Json json = {{"negative", electrode("zinc", 2)}, {"positive", electrode("copper", 2)}};
    json["electrolyte"] = {{"ready", "lemon juice"}, {"volume_mL", 30}};
    return json.dump();
}

namespace {

std::string foil(const std::string& substance, double strength) {
    Json json = {{"negative", electrode("aluminium", 20)}, {"positive", electrode("activated carbon", 20)}};
    json["positive"]["air"] = "breathing";
    json["electrolyte"] = {{"water_mL", 50},
                           {"solutes", Json::array({{{"substance", substance}, {"mol_per_L", strength}}})}};
    return json.dump();
}

} // namespace

std::string foilInSalt() {
    return foil("NaCl", 0.8);
}
std::string foilInAlkali() {
    return foil("NaOH", 2.0);
}

formats::CatalogueFiles withAdded(const std::string& file, const std::string& list,
                                  const std::string& entriesJson) {
    return withAdded(formats::builtInCatalogueFiles(), file, list, entriesJson);
}

formats::CatalogueFiles withAdded(formats::CatalogueFiles files, const std::string& file,
                                  const std::string& list, const std::string& entriesJson) {
    Json json = Json::parse(files.at(file));
    for (const Json& entry : Json::parse(entriesJson)) {
        json[list].push_back(entry);
    }
    files[file] = json.dump();
    return files;
}

std::string plain(std::string text) {
    for (std::size_t at = text.find("\u00A0"); at != std::string::npos; at = text.find("\u00A0")) {
        text.replace(at, 2, " ");
    }
    return text;
}

std::string caseName(std::size_t index, std::string_view text) {
    constexpr std::size_t kLongest = 40;
    std::string name = std::to_string(index);
    for (const char c : text.substr(0, kLongest)) {
        const bool plain = (c >= '0' && c <= '9') || (c >= 'a' && c <= 'z') || (c >= 'A' && c <= 'Z');
        if (plain) {
            name += c;
        } else if (name.back() != '_') {
            name += '_';
        }
    }
    return name;
}

std::string caseName(std::size_t index, double number) {
    return caseName(index, "of_" + std::to_string(number));
}

std::string readText(const std::filesystem::path& path) {
    std::ifstream file(path, std::ios::binary);
    std::ostringstream text;
    text << file.rdbuf();
    return text.str();
}

void writeText(const std::filesystem::path& path, const std::string& text) {
    std::ofstream file(path, std::ios::binary);
    file << text;
}

void runSql(const std::filesystem::path& database, const std::string& sql) {
    sqlite3* file = nullptr;
    EXPECT_EQ(sqlite3_open(database.c_str(), &file), SQLITE_OK);
    EXPECT_EQ(sqlite3_exec(file, sql.c_str(), nullptr, nullptr, nullptr), SQLITE_OK) << sqlite3_errmsg(file);
    sqlite3_close(file);
}

std::filesystem::path sourceDir() {
    return ANODEX_SOURCE_DIR;
}

TemporaryFolder::TemporaryFolder() {
    std::string pattern = (std::filesystem::temp_directory_path() / "anodex-test-XXXXXX").string();
    if (mkdtemp(pattern.data()) == nullptr) {
        ADD_FAILURE() << "no temporary folder";
    }
    m_path = pattern;
}

TemporaryFolder::~TemporaryFolder() {
    std::error_code ignored;
    std::filesystem::remove_all(m_path, ignored);
}

record::RunSamples straightDischarge(double amps, double seconds, std::size_t samples) {
    record::RunSamples run;
    for (std::size_t i = 0; i < samples; ++i) {
        const double share = static_cast<double>(i) / static_cast<double>(samples - 1);
        run.seconds.push_back(share * seconds);
        run.volts.push_back(1.5 - 0.5 * share);
        run.amps.push_back(amps);
    }
    return run;
}

} // namespace anodex::test
