// tests/architecture/WindowTexts.h - what the sources of the window hand to its translator.
#pragma once
#include <map>
#include <set>
#include <string>

namespace anodex::test {

/// Sources below a folder of the project, by path.
std::map<std::string, std::string> sourcesBelow(const std::string& folder);

std::set<std::string> windowTexts();

} // namespace anodex::test
