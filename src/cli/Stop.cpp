#include "cli/Stop.h"

#include "wording/Texts.h"

namespace anodex::cli {

Stop stopAt(int exit, const std::string& where, const std::string& what) {
    return {exit, wording::text({"cli.at", {{"where", where}, {"what", what}}})};
}

Stop misfit(const std::string& where, const std::string& typed, const std::string& right) {
    return stopAt(kUsage, where, wording::text({"cli.misfit", {{"typed", typed}, {"right", right}}}));
}

} // namespace anodex::cli
