#include "wording/Listing.h"

#include "wording/Texts.h"

namespace anodex::wording {
namespace {

std::string joined(const std::vector<std::string>& names, const char* last) {
    std::string list;
    for (std::size_t i = 0; i < names.size(); ++i) {
        const bool atEnd = i > 0 && i + 1 == names.size();
        list = i == 0 ? names[i] : text({atEnd ? last : "list.next", {{"before", list}, {"name", names[i]}}});
    }
    return list;
}

} // namespace

std::string listed(const std::vector<std::string>& names) {
    return joined(names, "list.and");
}

std::string choiceOf(const std::vector<std::string>& names) {
    return joined(names, "list.or");
}

} // namespace anodex::wording
