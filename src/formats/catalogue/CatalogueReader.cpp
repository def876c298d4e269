#include "formats/catalogue/CatalogueReader.h"

#include "formats/EmbeddedData.h"
#include "formats/JsonObject.h"
#include "formats/catalogue/Context.h"

#include <fmt/format.h>

namespace anodex::formats {
namespace {

struct FileReader {
    const char* name;
    void (*read)(catalogue::Context&, JsonObject&);
};

/// In the order in which they lean on each other.
constexpr FileReader kReaders[] = {{"sources.json", catalogue::readSources},
                                   {"elements.json", catalogue::readElements},
                                   {"species.json", catalogue::readSpecies},
                                   {"pitzer.json", catalogue::readPitzer},
                                   {"substances.json", catalogue::readSubstances},
                                   {"liquids.json", catalogue::readLiquids},
                                   {"materials.json", catalogue::readMaterials},
                                   {"separators.json", catalogue::readSeparators},
                                   {"cases.json", catalogue::readCases},
                                   {"families.json", catalogue::readFamilies},
                                   {"reactions.json", catalogue::readReactions},
                                   {"rules.json", catalogue::readRules},
                                   {"refused.json", catalogue::readRefused},
                                   {"measures.json", catalogue::readMeasures},
                                   {"loads.json", catalogue::readLoads}};

/// A short mark of the contents, kept with every expectation so that later models can be told apart.
std::string versionOf(const CatalogueFiles& files) {
    std::uint64_t hash = 14695981039346656037ULL;
    for (const auto& [name, text] : files) {
        for (const char c : text) {
            hash = (hash ^ static_cast<unsigned char>(c)) * 1099511628211ULL;
        }
    }
    return fmt::format("{:08x}", static_cast<std::uint32_t>(hash ^ (hash >> 32U)));
}

void readFile(const CatalogueFiles& files, const FileReader& reader, catalogue::Context& context,
              std::optional<FileError>& problem) {
    const auto file = files.find(reader.name);
    if (file == files.end()) {
        problem = FileError{FileError::Code::Unreadable, reader.name, "nothing", "the catalogue file"};
        return;
    }
    Json json;
    problem = parseJson(file->second, json);
    if (!problem) {
        JsonObject root(json, "", problem);
        if (!problem) {
            reader.read(context, root);
            root.finish();
        }
    }
    if (problem) {
        problem->field = reader.name + (problem->field.empty() ? "" : ": " + problem->field);
    }
}

} // namespace

CatalogueFiles builtInCatalogueFiles() {
    CatalogueFiles files;
    for (const FileReader& reader : kReaders) {
        files[reader.name] = std::string(embeddedFile(std::string("catalogue/") + reader.name));
    }
    return files;
}

tl::expected<chemistry::Catalogue, FileError> readCatalogue(const CatalogueFiles& files) {
    catalogue::Context context;
    std::optional<FileError> problem;
    for (const FileReader& reader : kReaders) {
        readFile(files, reader, context, problem);
        if (problem) {
            return tl::unexpected(*problem);
        }
    }
    context.catalogue.version = versionOf(files);
    return std::move(context.catalogue);
}

} // namespace anodex::formats
