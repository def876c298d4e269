// src/formats/CellIds.h - the `ids` of a cell or shelf file: what its names meant when they were written.
//
// {"materials": {"as written": "id"}, "substances": {…}, "liquids": {…}, "separators": {…}, "cases": {…}}. A name
// that is changed by hand is not in it and is looked up anew.
#pragma once
#include "core/design/Identify.h"
#include "formats/JsonObject.h"
#include <functional>

namespace anodex::formats {

/// As written; the id where nothing was written.
[[nodiscard]] const std::string& writtenName(const design::Named& named);

using NameVisitor = std::function<void(design::EntryKind, design::Named&)>;
/// `eachName` shows every name of the file to the visitor it is given.
void readIds(JsonObject& root, const std::function<void(const NameVisitor&)>& eachName);
void readIds(JsonObject& root, design::CellDesign& design);

/// Collects ids while a file is written.
class IdBlock {
public:
    void add(design::EntryKind kind, const design::Named& named);
    /// Nothing where no name has an id.
    void writeTo(Json& json) const;

private:
    Json m_ids = Json::object();
};
void writeIds(Json& json, const design::CellDesign& design);

} // namespace anodex::formats
