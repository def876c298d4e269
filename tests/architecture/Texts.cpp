// Writes data/texts/en/window.json anew from the sources: what is new comes in with its English, what no source
// names goes, and patterns that were written by hand, such as plurals, stay.
#include "wording/Texts.h"
#include "tests/architecture/WindowTexts.h"
#include "tests/support/Samples.h"

#include <nlohmann/json.hpp>

int main() {
    using namespace anodex;
    nlohmann::ordered_json table = nlohmann::ordered_json::object();
    for (const std::string& text : test::windowTexts()) {
        const std::string pattern = wording::Texts::english().pattern("window." + text);
        table[text] = pattern.empty() ? text : pattern;
    }
    const nlohmann::ordered_json file = {{"window", table}};
    test::writeText(test::sourceDir() / "data/texts/en/window.json", file.dump(2) + "\n");
    return 0;
}
