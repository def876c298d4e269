// src/formats/ExpectationJson.h - what was expected of a build on its day, as text in the notebook.
#pragma once
#include "core/record/Record.h"
#include "formats/FileError.h"
#include <string>
#include <string_view>
#include <tl/expected.hpp>

namespace anodex::formats {

[[nodiscard]] std::string writeExpectation(const record::Expectation& expectation);
[[nodiscard]] tl::expected<record::Expectation, FileError> readExpectation(std::string_view text);

} // namespace anodex::formats
