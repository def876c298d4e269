#include "wording/ExplainText.h"

#include "wording/Texts.h"

namespace anodex::wording {

std::string explained(const std::string& english) {
    const std::string id = "explain." + english;
    return Texts::english().has(id) ? Texts::current().textOr(id, english) : english;
}

std::string deedText(const chemistry::Reaction& reaction, chemistry::Branch branch) {
    const bool anodic = branch == chemistry::Branch::Anodic;
    return Texts::current().textOr("reaction." + reaction.id + (anodic ? ".anodic" : ".cathodic"),
                                   anodic ? reaction.anodicName : reaction.cathodicName);
}

} // namespace anodex::wording
