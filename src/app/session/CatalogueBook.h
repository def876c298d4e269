// src/app/session/CatalogueBook.h - the catalogue in use: the shipped one with the notebook's own entries.
//
// Threads    a catalogue once handed out stays alive and unchanged as long as the book: work aside may go on
//            with it.
#pragma once
#include "core/record/Record.h"
#include "formats/OwnEntries.h"
#include <QString>
#include <memory>

namespace anodex::app {

class CatalogueBook {
public:
    explicit CatalogueBook(const chemistry::Catalogue& shipped);

    [[nodiscard]] const chemistry::Catalogue& current() const { return *m_current; }
    [[nodiscard]] const formats::CatalogueFiles& files() const { return m_files; }
    /// True when the catalogue is another one now. Entries that no longer read are left out and named.
    bool use(const std::vector<record::Document>& documents, QString& problem);
    /// One line that says what is wrong with an entry; empty when it would do.
    [[nodiscard]] QString faultOf(const formats::OwnEntry& entry) const;

private:
    const chemistry::Catalogue* m_current;
    const chemistry::Catalogue* m_shipped;
    std::vector<formats::OwnEntry> m_entries;
    formats::CatalogueFiles m_files;
    std::vector<std::unique_ptr<const chemistry::Catalogue>> m_kept;
};

} // namespace anodex::app
