#include "wording/entry/Understand.h"

#include "wording/entry/EntryLoad.h"
#include "wording/entry/EntryTime.h"

namespace anodex::wording {

Understanding understand(const Tokens& clause, record::Millis now, const std::vector<load::Device>* devices) {
    Understanding understanding;
    understanding.words = clause;
    takeTime(understanding, now);
    takeLetters(understanding);
    takeUnloaded(understanding);
    takeWords(understanding);
    takeLoad(understanding, devices);
    takeMeterWords(understanding);
    takeLoadedTime(understanding);
    return understanding;
}

} // namespace anodex::wording
