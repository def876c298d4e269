#include "app/theme/TableTranslator.h"

#include "wording/Texts.h"

namespace anodex::app {

QString TableTranslator::translate(const char* /*context*/, const char* source,
                                   const char* /*disambiguation*/, int count) const {
    const std::string id = std::string("window.") + source;
    const std::string pattern = wording::Texts::current().pattern(id);
    if (pattern.empty()) {
        return {}; // null, and so the source stands: the toolkit's own strings
    }
    if (pattern.find("{n, plural") == std::string::npos) {
        return QString::fromStdString(pattern); // its %1 is filled in by the window
    }
    return QString::fromStdString(wording::text(base::Said(id, {{"n", std::int64_t{count}}})));
}

} // namespace anodex::app
