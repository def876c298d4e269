#include "tests/architecture/WindowTexts.h"

#include "tests/support/Samples.h"

#include <regex>

namespace anodex::test {
namespace {

namespace fs = std::filesystem;

/// The literals that begin at `at`, joined; empty when none does.
std::string literalsAt(const std::string& text, std::size_t at) {
    std::string joined;
    for (;;) {
        at = text.find_first_not_of(" \t\n", at);
        if (at == std::string::npos || text[at] != '"') {
            return joined;
        }
        for (++at; text[at] != '"'; ++at) {
            if (text[at] == '\\') {
                ++at;
                const std::string unicode = text.substr(at + 1, 4);
                if (text[at] == 'u') {
                    joined += unicode == "00A0" ? "\u00A0" : unicode == "2212" ? "\u2212" : "?";
                    at += 4;
                } else {
                    joined += text[at] == 'n' ? '\n' : text[at] == 't' ? '\t' : text[at];
                }
            } else {
                joined += text[at];
            }
        }
        ++at;
    }
}

} // namespace

std::map<std::string, std::string> sourcesBelow(const std::string& folder) {
    std::map<std::string, std::string> list;
    for (const auto& entry : fs::recursive_directory_iterator(sourceDir() / folder)) {
        const std::string extension = entry.path().extension().string();
        if (extension == ".h" || extension == ".cpp") {
            list[entry.path().string()] = readText(entry.path());
        }
    }
    return list;
}

std::set<std::string> windowTexts() {
    const std::regex opening(R"((\btr\(|\btranslate\(\s*"[^"]*",|QT_TRANSLATE_NOOP\(\s*"[^"]*",)\s*(?="))");
    std::set<std::string> texts;
    for (const auto& [path, text] : sourcesBelow("src/app")) {
        for (auto match = std::sregex_iterator(text.begin(), text.end(), opening);
             match != std::sregex_iterator(); ++match) {
            texts.insert(literalsAt(text, static_cast<std::size_t>(match->position()) + match->str().size()));
        }
    }
    return texts;
}

} // namespace anodex::test
