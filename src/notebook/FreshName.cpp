#include "notebook/FreshName.h"

#include <filesystem>
#include <fmt/format.h>

namespace anodex::notebook {

std::string freshNameBeside(const std::string& path, const std::string& word) {
    const std::filesystem::path file(path);
    const std::string stem = (file.parent_path() / file.stem()).string();
    const std::string extension = file.extension().string();
    std::string name = fmt::format("{} ({}){}", stem, word, extension);
    for (int number = 2; std::filesystem::exists(name); ++number) {
        name = fmt::format("{} ({} {}){}", stem, word, number, extension);
    }
    return name;
}

} // namespace anodex::notebook
