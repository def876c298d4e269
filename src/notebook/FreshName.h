// src/notebook/FreshName.h - a name that is free beside a file, for a copy of it.
#pragma once
#include <string>

namespace anodex::notebook {

/// "cells (word).anodex", or with a number when that is taken.
[[nodiscard]] std::string freshNameBeside(const std::string& path, const std::string& word);

} // namespace anodex::notebook
