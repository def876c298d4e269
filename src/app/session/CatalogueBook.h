// src/app/session/CatalogueBook.h - the catalogue in use: the shipped one with the notebook's own entries.
#pragma once
#include "app/session/CatalogueHandle.h"
#include "core/record/Record.h"
#include "formats/catalogue/OwnEntries.h"
#include <QString>
#include <vector>

namespace anodex::app {

class CatalogueBook {
public:
    /// `shipped` outlives the book and everything worked out from it.
    explicit CatalogueBook(const chemistry::Catalogue& shipped);

    [[nodiscard]] const chemistry::Catalogue& current() const { return *m_current; }
    [[nodiscard]] const CatalogueHandle& handle() const { return m_current; }
    [[nodiscard]] const formats::CatalogueFiles& files() const { return m_files; }
    /// True when the catalogue is another one now. Entries that no longer read are left out and named.
    bool use(const std::vector<record::Document>& documents, QString& problem);
    /// One line that says what is wrong with an entry; empty when it would do.
    [[nodiscard]] QString faultOf(const formats::OwnEntry& entry) const;

private:
    CatalogueHandle m_shipped;
    CatalogueHandle m_current;
    std::vector<formats::OwnEntry> m_entries;
    formats::CatalogueFiles m_files;
};

} // namespace anodex::app
