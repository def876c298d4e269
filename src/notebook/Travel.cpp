#include "notebook/Travel.h"

#include <algorithm>

namespace anodex::notebook {

Answer<int> travelTo(Notebook& notebook, std::int64_t last, const std::function<void(const Step&)>& each) {
    const auto entries = notebook.history();
    if (!entries) {
        return tl::unexpected(entries.error());
    }
    const auto back = std::count_if(entries->begin(), entries->end(), [&](const HistoryEntry& entry) {
        return !entry.undone && entry.id > last;
    });
    const auto forward = std::count_if(entries->begin(), entries->end(), [&](const HistoryEntry& entry) {
        return entry.undone && entry.id <= last;
    });
    for (auto i = back + forward; i > 0; --i) {
        const auto step = back > 0 ? notebook.undo() : notebook.redo();
        if (!step) {
            return tl::unexpected(step.error());
        }
        if (each) {
            each(*step);
        }
    }
    return static_cast<int>(back + forward);
}

} // namespace anodex::notebook
