#include "app/session/CatalogueBook.h"

#include "wording/ErrorText.h"

namespace anodex::app {
namespace {

struct Read {
    formats::CatalogueFiles files;
    chemistry::Catalogue catalogue;
};

tl::expected<Read, formats::FileError> readWith(const std::vector<formats::OwnEntry>& entries) {
    auto files = formats::withOwnEntries(formats::builtInCatalogueFiles(), entries);
    if (!files) {
        return tl::unexpected(files.error());
    }
    auto catalogue = formats::readCatalogue(*files);
    if (!catalogue) {
        return tl::unexpected(catalogue.error());
    }
    return Read{std::move(*files), std::move(*catalogue)};
}

} // namespace

CatalogueBook::CatalogueBook(const chemistry::Catalogue& shipped)
    : m_shipped(CatalogueHandle(), &shipped), m_current(m_shipped),
      m_files(formats::builtInCatalogueFiles()) {}

bool CatalogueBook::use(const std::vector<record::Document>& documents, QString& problem) {
    std::vector<formats::OwnEntry> entries;
    for (const record::Document& document : documents) {
        if (document.kind == record::DocumentKind::OwnEntry && !document.setAside) {
            entries.push_back({document.name, document.text});
        }
    }
    if (entries == m_entries) {
        return false;
    }
    m_entries = entries;
    auto read = readWith(entries);
    if (!read) {
        // One bad entry does not take the others with it.
        std::vector<formats::OwnEntry> sound;
        for (const formats::OwnEntry& entry : entries) {
            sound.push_back(entry);
            if (const auto one = readWith(sound); !one) {
                problem = QString::fromStdString(idOf(entry) + ": " + wording::errorText(one.error()));
                sound.pop_back();
            }
        }
        read = readWith(sound);
    }
    if (entries.empty() || !read) {
        m_current = m_shipped;
        m_files = formats::builtInCatalogueFiles();
        return true;
    }
    m_files = std::move(read->files);
    m_current = std::make_shared<const chemistry::Catalogue>(std::move(read->catalogue));
    return true;
}

QString CatalogueBook::faultOf(const formats::OwnEntry& entry) const {
    std::vector<formats::OwnEntry> entries = m_entries;
    entries.push_back(entry);
    const auto read = readWith(entries);
    return read ? QString() : QString::fromStdString(wording::errorText(read.error()));
}

} // namespace anodex::app
