#include "app/session/OtherNotebook.h"

#include "notebook/Notebook.h"
#include "wording/ErrorText.h"

#include <algorithm>

namespace anodex::app {
namespace {

tl::unexpected<QString> refusal(const notebook::NotebookError& error) {
    return tl::unexpected(QString::fromStdString(wording::errorText(error)));
}

} // namespace

tl::expected<std::vector<Starter>, QString> designsIn(const QString& path) {
    const auto book = notebook::Notebook::open(path.toStdString(), notebook::OpenMode::Read);
    if (!book) {
        return refusal(book.error());
    }
    const auto revisions = book->revisions();
    if (!revisions) {
        return refusal(revisions.error());
    }
    std::vector<Starter> designs;
    for (const record::Revision& revision : *revisions) {
        Starter one{revision.id, revision.design};
        one.design.name = revision.name;
        designs.push_back(std::move(one));
    }
    std::stable_sort(designs.begin(), designs.end(),
                     [](const Starter& a, const Starter& b) { return a.design.family < b.design.family; });
    return designs;
}

} // namespace anodex::app
