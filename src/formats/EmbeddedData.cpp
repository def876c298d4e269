#include "formats/EmbeddedData.h"

namespace anodex::formats {

std::string_view embeddedFile(std::string_view name) {
    for (const EmbeddedFile& file : embeddedFiles()) {
        if (file.name == name) {
            return file.content;
        }
    }
    return {};
}

} // namespace anodex::formats
