// tests/support/Samples.h - the shipped catalogue, cells to try, and folders to try them in.
#pragma once
#include "core/base/Said.h"
#include "core/cell/Evaluation.h"
#include "core/record/Record.h"
#include "formats/catalogue/CatalogueReader.h"
#include <filesystem>
#include <iosfwd>
#include <string>
#include <string_view>

namespace anodex::base {
/// So that a failed test tells it.
std::ostream& operator<<(std::ostream& output, const Said& said);
} // namespace anodex::base

namespace anodex::test {

/// In English.
std::string told(const base::Said& said);

/// The shipped catalogue, read once.
const chemistry::Catalogue& catalogue();

/// A cell from JSON text without "format"; fails the test when it does not read.
design::CellDesign design(const std::string& json);
design::Cell cellOf(const std::string& json);
/// As it was built and filled.
state::Contents contentsOf(const std::string& json);

/// The same with the cell, compiled with the catalogue's own values.
struct Filled {
    explicit Filled(const std::string& json);
    explicit Filled(design::Cell built);
    Filled(const Filled&) = delete;
    Filled& operator=(const Filled&) = delete;
    ~Filled() = default;
    [[nodiscard]] electrode::Situation at(design::Side side) const { return compiled.at(side, contents); }

    design::Cell cell;
    state::Contents contents;
    cell::CompiledCell compiled;
};

cell::Evaluation evaluated(const std::string& json);

/// The five kinds of cell the first slice promises, as JSON without "format".
std::string beakers(double zincSide = 1.0, double copperSide = 1.0);
std::string leadAcid(double massPercent);
std::string lemon();
std::string foilInSalt();
std::string foilInAlkali();

/// The catalogue with more entries added to one of its files, as a user would add data.
formats::CatalogueFiles withAdded(const std::string& file, const std::string& list,
                                  const std::string& entriesJson);
formats::CatalogueFiles withAdded(formats::CatalogueFiles files, const std::string& file,
                                  const std::string& list, const std::string& entriesJson);

/// With ordinary blanks where the text has unbreakable ones.
std::string plain(std::string text);

std::string readText(const std::filesystem::path& path);
void writeText(const std::filesystem::path& path, const std::string& text);
/// As another program would do it to the file.
void runSql(const std::filesystem::path& database, const std::string& sql);
std::filesystem::path sourceDir();

/// A name for one case of a table: its place and the letters and digits of `text`.
std::string caseName(std::size_t index, std::string_view text);
std::string caseName(std::size_t index, double number);

/// Names the cases of a table by one of their members.
template <typename Row, typename Member> auto named(Member Row::*member) {
    return [member](const auto& info) { return caseName(info.index, info.param.*member); };
}

/// A folder of its own for one test, gone at its end.
class TemporaryFolder {
public:
    TemporaryFolder();
    ~TemporaryFolder();
    TemporaryFolder(const TemporaryFolder&) = delete;
    TemporaryFolder& operator=(const TemporaryFolder&) = delete;
    [[nodiscard]] std::filesystem::path path(const std::string& name = {}) const { return m_path / name; }

private:
    std::filesystem::path m_path;
};

/// A discharge at a constant current from 1.5 V falling in a straight line, sampled evenly.
record::RunSamples straightDischarge(double amps, double seconds, std::size_t samples);

} // namespace anodex::test
