#include "app/views/ViewList.h"

namespace anodex::app {

#define ANODEX_VIEW(name) ViewEntry name##Entry();
#include "app/views/ViewList.inc"
#undef ANODEX_VIEW

std::vector<ViewEntry> viewList() {
    return {
#define ANODEX_VIEW(name) name##Entry(),
#include "app/views/ViewList.inc"
#undef ANODEX_VIEW
    };
}

} // namespace anodex::app
