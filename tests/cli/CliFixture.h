// tests/cli/CliFixture.h - the program called as from a shell, beside files of its own.
#pragma once
#include "cli/Program.h"
#include "cli/Stop.h"
#include "formats/CellFile.h"
#include "tests/support/Samples.h"

#include <gtest/gtest.h>
#include <nlohmann/json.hpp>
#include <sstream>
#include <string>
#include <vector>

namespace anodex::cli {

using Json = nlohmann::ordered_json;

struct Result {
    int exit = 0;
    std::string output;
    std::string errors;
    [[nodiscard]] Json json() const { return Json::parse(output); }
};

inline Result call(const std::vector<std::string>& arguments) {
    std::ostringstream output;
    std::ostringstream errors;
    const int exit = run(arguments, output, errors);
    return {exit, output.str(), errors.str()};
}

class Files : public testing::Test {
protected:
    std::string cell(const std::string& json, const std::string& name = "a.cell.json") {
        test::writeText(m_folder.path(name), formats::writeCellFile(test::design(json)));
        return m_folder.path(name).string();
    }
    std::string file(const std::string& name, const std::string& text) {
        test::writeText(m_folder.path(name), text);
        return m_folder.path(name).string();
    }
    test::TemporaryFolder m_folder;
};

} // namespace anodex::cli
