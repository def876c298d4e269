#include "wording/entry/EntryLoad.h"

#include "quantity/Letters.h"

#include <algorithm>

namespace anodex::wording {
namespace {

using record::ReadingQuantity;

constexpr const char* kLoadWords[] = {"through", "across", "load", "into",  "at", "with",
                                      "over",    "@",      "on",   "under", "/",  "loaded"};
/// Whatever is behind them draws current.
constexpr const char* kDrivingWords[] = {"through", "into",    "driving", "powering", "running",
                                         "feeding", "drawing", "lights",  "lighting", "lit"};
/// The cell makes something do that.
constexpr const char* kDoingWords[] = {"buzzes",   "buzzing", "glows",   "glowing", "spins",
                                       "spinning", "ticks",   "ticking", "beeps",   "beeping"};
constexpr const char* kDeviceWords[] = {"led",   "leds", "motor", "buzzer", "lamp",    "bulb",
                                        "radio", "fan",  "clock", "beacon", "resistor"};
/// In front of a device, part of saying that it hangs on the cell.
constexpr const char* kJoining[] = {"a",        "an",      "the",     "my",      "one",    "small",
                                    "on",       "into",    "through", "with",    "across", "driving",
                                    "powering", "running", "feeding", "over",    "at",     "to",
                                    "load",     "under",   "lights",  "lighting"};
constexpr const char* kArticles[] = {"a", "an", "the", "my", "any", "its"};
constexpr const char* kLightOn[] = {"under", "near", "beside", "below",
                                    "beneath"}; // a lamp shines on the cell
constexpr const char* kNot[] = {"without", "no", "not", "off"};
constexpr std::size_t kWordsBetween = 3; // such a word and the device

template <std::size_t N> bool isOneOf(const std::string& word, const char* const (&list)[N]) {
    return std::any_of(std::begin(list), std::end(list), [&](const char* entry) { return word == entry; });
}

bool isOhm(const Token& word) {
    return !word.used && word.is(Dimension::Ohm) && word.quantity->value > 0.0;
}

/// Of the words in front of `at`, articles left out; empty where none stands there.
std::string wordBefore(const Tokens& words, std::size_t at) {
    while (at > 0 && isOneOf(words[at - 1].word(), kArticles)) {
        --at;
    }
    return at > 0 ? words[at - 1].word() : std::string();
}

/// "through 10 ohm", "10 ohm load"
void takeOhms(Understanding& understanding) {
    auto& words = understanding.words;
    for (std::size_t i = 0; i < words.size(); ++i) {
        if (words[i].used || words[i].quantity || !isOneOf(words[i].word(), kLoadWords)) {
            continue;
        }
        std::size_t behind = i + 1;
        while (behind < words.size() && isOneOf(words[behind].word(), kArticles)) {
            ++behind;
        }
        for (const std::size_t near : {behind, i - 1}) {
            if (near < words.size() && isOhm(words[near])) {
                understanding.loadOhm = words[near].quantity->value;
                for (std::size_t used = std::min(i, near); used <= std::max(i, near); ++used) {
                    words[used].used = true;
                }
                return;
            }
        }
    }
}

/// "under load", "loaded"
void takeLoaded(Understanding& understanding) {
    auto& words = understanding.words;
    for (std::size_t i = 0; i < words.size(); ++i) {
        const std::string text = words[i].word();
        if (!words[i].used && (text == "load" || text == "loaded")) {
            understanding.loaded = true;
            words[i].used = true;
            if (i > 0 && words[i - 1].word() == "under") {
                words[i - 1].used = true;
            }
        }
    }
}

/// How many words from `at` on are the device's name; the longest of its names counts.
std::size_t namedAt(const Tokens& words, std::size_t at, const load::Device& device) {
    std::size_t longest = 0;
    for (const std::string& name : device.names) {
        const std::string wanted = quantity::lowered(name);
        std::string said;
        for (std::size_t i = at; i < words.size() && said.size() < wanted.size(); ++i) {
            if (words[i].used || words[i].quantity) {
                break;
            }
            said += (said.empty() ? "" : " ") + words[i].word();
            if (said == wanted || said == wanted + "." || said == wanted + "s") {
                longest = std::max(longest, i - at + 1);
            }
        }
    }
    return longest;
}

/// "on the buzzer", "into a red LED"; under a lamp is no load.
void takeDevice(Understanding& understanding, const std::vector<load::Device>* devices) {
    auto& words = understanding.words;
    if (devices == nullptr || understanding.loadOhm) {
        return;
    }
    const load::Device* found = nullptr;
    std::size_t from = 0;
    std::size_t length = 0;
    for (const load::Device& device : *devices) {
        for (std::size_t i = 0; i < words.size(); ++i) {
            const std::size_t here = namedAt(words, i, device);
            if (here > length && !isOneOf(wordBefore(words, i), kLightOn)) {
                found = &device;
                from = i;
                length = here;
            }
        }
    }
    if (found == nullptr) {
        return;
    }
    understanding.device = record::OnDevice{found->id, found->names.front()};
    while (from > 0 && !words[from - 1].used && isOneOf(words[from - 1].word(), kJoining)) {
        --from;
        ++length;
    }
    for (std::size_t i = from; i < from + length; ++i) {
        words[i].used = true;
    }
}

/// "through my toy", "it buzzes": whatever hangs on the cell, it is no open circuit. The word stays in the note.
void takeDriven(Understanding& understanding) {
    const Tokens& words = understanding.words;
    for (std::size_t i = 0; i < words.size(); ++i) {
        const std::string word = words[i].word();
        const bool device = isOneOf(word, kDeviceWords) && !isOneOf(wordBefore(words, i), kLightOn);
        understanding.loaded =
            understanding.loaded ||
            (!words[i].used && (device || isOneOf(word, kDrivingWords) || isOneOf(word, kDoingWords)));
    }
}

/// "0.9 V 10 ohm", "1k 0.71": ohms beside volts, amperes or a plain number are what it was read through.
void takeBareOhms(Understanding& understanding) {
    const auto& words = understanding.words;
    const auto numbers = std::count_if(words.begin(), words.end(),
                                       [](const Token& word) { return !word.used && word.isBare(); });
    const bool beside = understanding.hasUnused(Dimension::Volt) ||
                        understanding.hasUnused(Dimension::Ampere) || numbers == 1;
    if (understanding.loadOhm || !beside || understanding.quantity == ReadingQuantity::Resistance) {
        return;
    }
    for (Token& word : understanding.words) {
        if (isOhm(word)) {
            understanding.loadOhm = word.quantity->value;
            word.used = true;
            return;
        }
    }
}

/// "a 1k resistor": said already.
void takeResistorWord(Understanding& understanding) {
    for (Token& word : understanding.words) {
        word.used = word.used ||
                    (understanding.loadOhm && (word.word() == "resistor" || word.word() == "resistance"));
    }
}

/// "through 1000", "at 20": a number behind such a word that nothing else explains.
bool isUnclearNumber(const Understanding& understanding, std::size_t at) {
    const Tokens& words = understanding.words;
    const Token& word = words[at];
    const bool measured = understanding.has(Dimension::Volt) || understanding.has(Dimension::Ampere);
    const bool ends = at + 1 == words.size() || word.mark != 0 || words[at + 1].quantity;
    return measured && ends && at > 0 && word.isBare() && !word.used && !words[at - 1].quantity &&
           isOneOf(words[at - 1].word(), kLoadWords);
}

/// "ten ohm", "a few kohm"
bool isUnreadOhms(const Token& word) {
    const auto units =
        word.text.size() > 1 ? quantity::readingsOf(word.text) : std::vector<quantity::UnitReading>();
    return !word.used && !word.quantity && !units.empty() && units.front().dimension == Dimension::Ohm;
}

/// "through 10M": digits that say no ohms.
bool isUnreadNumber(const Tokens& words, std::size_t at) {
    const Token& word = words[at];
    const std::string before = at > 0 ? words[at - 1].word() : "";
    const bool read = word.is(Dimension::Ohm) || word.is(Dimension::Volt) || word.is(Dimension::Ampere) ||
                      word.is(Dimension::Second);
    return !word.used && !read && quantity::isDigit(word.text.front()) &&
           (before == "through" || before == "across" || before == "into");
}

/// A load whose ohms nobody can read.
void takeUnclear(Understanding& understanding) {
    if (understanding.loadOhm || understanding.device ||
        understanding.quantity == ReadingQuantity::Resistance) {
        return;
    }
    const Tokens& words = understanding.words;
    for (std::size_t i = 0; i < words.size(); ++i) {
        const bool number = isUnclearNumber(understanding, i);
        understanding.loadUnclear =
            understanding.loadUnclear || number || isUnreadOhms(words[i]) || isUnreadNumber(words, i);
        if (number) {
            understanding.loadNumber = i;
        }
    }
}

/// "0.71 V at 5 mA", "0.9 V 1 mA": the current is the load.
void takeDrawnCurrent(Understanding& understanding) {
    auto& words = understanding.words;
    if (understanding.quantity || understanding.saysShort || !understanding.hasUnused(Dimension::Volt) ||
        !understanding.hasUnused(Dimension::Ampere)) {
        return;
    }
    understanding.loaded = true;
    for (std::size_t i = 1; i < words.size(); ++i) {
        const bool joins = words[i].is(Dimension::Ampere) && !words[i - 1].quantity &&
                           (isOneOf(words[i - 1].word(), kLoadWords) || words[i - 1].word() == "drawing");
        words[i - 1].used = words[i - 1].used || joins;
    }
}

} // namespace

void takeUnloaded(Understanding& understanding) {
    auto& words = understanding.words;
    const auto wordAt = [&](std::size_t i) { return i < words.size() ? words[i].word() : std::string(); };
    for (std::size_t i = 0; i < words.size(); ++i) {
        if (!isOneOf(wordAt(i), kDeviceWords) && wordAt(i) != "load") {
            continue;
        }
        std::size_t first = i;
        const std::size_t reach = i > kWordsBetween ? i - kWordsBetween : 0; // "without the red LED"
        for (std::size_t back = reach; back < i; ++back) {
            first = isOneOf(wordAt(back), kNot) ? std::min(first, back) : first;
        }
        const std::string behind = wordAt(i + 1);
        const bool off = behind == "off" || behind == "removed" || behind == "disconnected";
        if (first == i && !off) {
            continue;
        }
        understanding.quantity = ReadingQuantity::OpenCircuitVoltage;
        for (std::size_t used = first; used <= i + (off ? 1 : 0); ++used) {
            words[used].used = true;
        }
    }
}

void takeLoad(Understanding& understanding, const std::vector<load::Device>* devices) {
    takeOhms(understanding);
    takeDevice(understanding, devices);
    takeDrawnCurrent(understanding);
    takeLoaded(understanding);
    takeDriven(understanding);
    takeBareOhms(understanding);
    takeResistorWord(understanding);
    takeUnclear(understanding);
}

} // namespace anodex::wording
