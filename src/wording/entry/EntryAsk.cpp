#include "wording/entry/EntryAsk.h"

#include "wording/Listing.h"
#include "wording/Texts.h"
#include "wording/entry/EntryTime.h"

#include <fmt/format.h>
#include <utility>
#include <vector>

namespace anodex::wording {

std::string asNoteChoice(std::string_view text) {
    return std::string(text) + std::string(kAsNote);
}

std::string replaced(std::string_view text, const std::string& part, const std::string& by) {
    std::string result(text);
    const std::size_t at = result.find(part);
    return at == std::string::npos ? result : result.replace(at, part.size(), by);
}

std::optional<Question> unclearNumber(std::string_view line, const Tokens& words) {
    for (const Token& word : words) {
        if (word.readings.size() < 2) {
            continue;
        }
        std::vector<std::string> meanings;
        std::vector<std::string> choices;
        for (const quantity::QuantityReading& reading : word.readings) {
            meanings.push_back(quantity::writtenOut(reading));
            choices.push_back(replaced(line, word.text, meanings.back()));
        }
        return Question{text({"entry.may-be", {{"typed", word.text}, {"choices", choiceOf(meanings)}}}),
                        std::move(choices)};
    }
    return std::nullopt;
}

Question oneOfARange(std::string_view line, const Tokens& words, std::size_t low) {
    const std::string unit = words[low + 2].readings.front().unit.symbol;
    return {text("entry.range"), {words[low].text + " " + unit, words[low + 2].text, asNoteChoice(line)}};
}

std::optional<Question> unclearTime(const Understanding& understanding) {
    const Token* word = unclearTimeIn(understanding);
    return word == nullptr ? std::nullopt
                           : std::optional(Question{text({"entry.when", {{"typed", word->text}}}), {}});
}

Question whatLoad(std::string_view line, const Understanding& understanding) {
    Question question{text("entry.what-load"), {}};
    if (understanding.loadNumber) {
        const std::string& number = understanding.words[*understanding.loadNumber].text;
        // The number behind the word, not the same digits elsewhere in the line.
        const std::string& before = understanding.words[*understanding.loadNumber - 1].text;
        for (const char* unit : {"ohm", "mA", "\u00B0C"}) {
            question.choices.push_back(replaced(line, fmt::format("{} {}", before, number),
                                                fmt::format("{} {} {}", before, number, unit)));
        }
    }
    question.choices.push_back(asNoteChoice(line));
    return question;
}

Question openOrLoaded(std::string_view line, const Token& volts) {
    return {text({"entry.still-loaded", {{"typed", volts.text}}}),
            {replaced(line, volts.text, "open " + volts.text), asNoteChoice(line)}};
}

} // namespace anodex::wording
