#include "wording/catalogue/EntryPage.h"

#include "formats/JsonObject.h"
#include "wording/Listing.h"
#include "wording/PartText.h"
#include "wording/Quantities.h"
#include "wording/Texts.h"
#include "wording/catalogue/EntryLinks.h"
#include "wording/catalogue/Pictograms.h"

#include <algorithm>
#include <cctype>
#include <cmath>
#include <fmt/format.h>
#include <optional>
#include <set>

namespace anodex::wording {
namespace {

using formats::Json;

/// Told elsewhere on the page: in its head, as a list or as a curve.
const std::set<std::string, std::less<>> kElsewhere = {"id",
                                                       "name",
                                                       "title",
                                                       "equation",
                                                       "aliases",
                                                       "sources",
                                                       "hazards",
                                                       "kinetics",
                                                       "conductivity",
                                                       "solution_density_kg_per_m3",
                                                       "S_per_m_by_mass_fraction"};
constexpr int kDigits = 4;

std::string lower(std::string text) {
    std::transform(text.begin(), text.end(), text.begin(),
                   [](unsigned char letter) { return static_cast<char>(std::tolower(letter)); });
    return text;
}

/// Shown as it is, whatever Markdown would make of it.
std::string plain(const std::string& words) {
    std::string safe;
    for (const char letter : words) {
        if (std::string_view("\\`*_[]<>|#^~").find(letter) != std::string_view::npos) {
            safe += '\\';
        }
        safe += letter;
    }
    return safe;
}

std::string said(const char* id, std::map<std::string, base::SaidValue> values = {}) {
    return text({id, std::move(values)});
}

bool isDoubt(const std::string& key) {
    return key.ends_with("spread") || key.find("half_width") != std::string::npos;
}

/// The key that says how sure a number is: of `touch_ohm_cm2` it is `touch_spread`.
std::optional<std::string> doubtOf(const Json& object, const std::string& key) {
    for (const auto& [other, value] : object.items()) {
        const std::size_t end = std::min(other.find("_spread"), other.find("_half_width"));
        if (isDoubt(other) && end != std::string::npos && key.starts_with(other.substr(0, end))) {
            return other;
        }
    }
    constexpr const char* kWithSpread[] = {"A_per_m2", "ohm", "thickness_um"};
    const bool owns = std::find(std::begin(kWithSpread), std::end(kWithSpread), key) != std::end(kWithSpread);
    return owns && object.contains("spread") ? std::optional<std::string>("spread") : std::nullopt;
}

/// 0.000000059 is 5.9×10⁻⁸.
std::string valueOf(double number) {
    constexpr double kSmall = 1e-3;
    constexpr double kLarge = 1e6;
    const double size = std::abs(number);
    if (number == 0.0 || (size >= kSmall && size < kLarge)) {
        return numberText(number, kDigits);
    }
    constexpr const char* kUp[] = {"⁰", "¹", "²", "³", "⁴", "⁵", "⁶", "⁷", "⁸", "⁹"};
    const int power = static_cast<int>(std::floor(std::log10(size)));
    std::string raised = power < 0 ? "⁻" : "";
    for (const char digit : std::to_string(std::abs(power))) {
        raised += kUp[digit - '0'];
    }
    return numberText(number / std::pow(10.0, power), kDigits) + "×10" + raised;
}

/// Formulas and equations with raised charges; other words as they are.
std::string formulaText(const std::string& words) {
    const bool isFormula = words.find(' ') == std::string::npos
                               ? words.find_first_of("0123456789()+-^") != std::string::npos
                               : words.find(" = ") != std::string::npos;
    return plain(isFormula ? prettyEquation(words) : words);
}

std::string valueText(const Json& value);

std::string membersText(const Json& object) {
    std::vector<std::string> parts;
    for (const auto& [key, value] : object.items()) {
        if (key == "sources" || kElsewhere.contains(key)) {
            continue;
        }
        const std::string name = entryField(key);
        const bool one = value.is_number() && value.get<double>() == 1.0;
        parts.push_back(name != key || value.is_string() ? name + ": " + valueText(value)
                        : one                            ? formulaText(key)
                                                         : valueText(value) + " " + formulaText(key));
    }
    return listed(parts);
}

std::string valueText(const Json& value) {
    if (value.is_string()) {
        std::string words = value.get<std::string>();
        if (const std::size_t hole = words.find("{}"); hole != std::string::npos) {
            words.replace(hole, 2, said("catalogue.it"));
        }
        return formulaText(words);
    }
    if (value.is_boolean()) {
        return said(value.get<bool>() ? "catalogue.yes" : "catalogue.no");
    }
    if (value.is_number()) {
        return valueOf(value.get<double>());
    }
    if (value.is_object()) {
        return membersText(value);
    }
    const bool span = value.size() == 2 && value[0].is_number() && value[1].is_number();
    if (span) {
        return said("catalogue.span", {{"low", valueText(value[0])}, {"high", valueText(value[1])}});
    }
    std::vector<std::string> parts;
    for (const Json& part : value) {
        parts.push_back(valueText(part));
    }
    return listed(parts);
}

std::string withDoubt(const Json& object, const std::string& key) {
    const auto doubt = doubtOf(object, key);
    std::string value = valueText(object[key]);
    if (!doubt) {
        return value;
    }
    const std::string by = valueText(object[*doubt]);
    return doubt->find("half_width") != std::string::npos
               ? value + " ± " + by
               : said("catalogue.factor", {{"value", value}, {"factor", by}});
}

/// Beside the number that it belongs to.
bool isTold(const Json& object, const std::string& doubt) {
    return std::any_of(object.items().begin(), object.items().end(), [&](const auto& item) {
        return !isDoubt(item.key()) && doubtOf(object, item.key()) == doubt;
    });
}

class Page {
public:
    Page(const chemistry::Catalogue& catalogue, const std::string& list, const formats::CatalogueEntry& entry,
         const std::vector<std::string>& usedIn)
        : m_catalogue(catalogue), m_list(list), m_entry(entry), m_usedIn(usedIn) {}

    [[nodiscard]] std::string written() {
        if (formats::parseJson(m_entry.text, m_json)) {
            return {};
        }
        m_text = "# " + formulaText(m_entry.name) + "\n\n";
        if (m_json.contains("aliases") && !m_json["aliases"].empty()) {
            add(said("catalogue.also", {{"names", valueText(m_json["aliases"])}}) + "\n\n");
        }
        properties();
        dangers();
        kinetics();
        links();
        sources();
        return m_text;
    }

private:
    void add(const std::string& words) { m_text += words; }
    void head(const char* id) { add("\n## " + said(id) + "\n\n"); }

    void properties() {
        std::string rows;
        for (const auto& [key, value] : m_json.items()) {
            const bool empty = (value.is_array() || value.is_object()) && value.empty();
            if (kElsewhere.contains(key) || empty || (isDoubt(key) && isTold(m_json, key))) {
                continue;
            }
            rows += "| " + entryField(key) + " | " + withDoubt(m_json, key) + " |\n";
        }
        if (!rows.empty()) {
            add("| " + said("catalogue.property") + " | " + said("catalogue.value") + " |\n|---|---|\n" +
                rows);
        }
    }

    void dangers() {
        if (!m_json.contains("hazards") || m_json["hazards"].empty()) {
            return;
        }
        head("catalogue.dangers");
        std::vector<std::string> codes;
        for (const Json& hazard : m_json["hazards"]) {
            codes.push_back(hazard.value("code", ""));
        }
        for (const std::string& one : pictogramsFor(codes)) {
            const std::string name = said(("pictogram." + one).c_str());
            add(fmt::format("![{0}](pictogram:{1}) {0}  ", name, one));
        }
        add("\n\n");
        for (const Json& hazard : m_json["hazards"]) {
            add("- **" + plain(hazard.value("code", "")) + "** " + plain(hazard.value("statement", "")));
            if (hazard.contains("from_mass_percent")) {
                add(", " +
                    said("catalogue.from-strength", {{"percent", valueText(hazard["from_mass_percent"])}}));
            }
            add("\n");
        }
    }

    void kinetics() {
        if (!m_json.contains("kinetics") || m_json["kinetics"].empty()) {
            return;
        }
        head("catalogue.rates");
        for (const Json& row : m_json["kinetics"]) {
            add("- **" + valueText(row.value("on", Json::array())) + "**");
            for (const auto& [key, value] : row.items()) {
                if (key != "on" && key != "sources" && !(isDoubt(key) && isTold(row, key))) {
                    add("; " + entryField(key) + ": " + withDoubt(row, key));
                }
            }
            add("\n");
        }
    }

    void links() {
        std::vector<std::string> lines;
        for (const EntryLink& link : linksOf(m_catalogue, m_list, m_entry.id)) {
            lines.push_back("- [" + plain(link.name) + "](catalogue:" + link.list + "/" + link.id + ")" +
                            (link.note.empty() ? "" : " " + plain(link.note)));
        }
        for (const std::string& design : m_usedIn) {
            lines.push_back("- " + plain(said("catalogue.in-cell", {{"name", design}})));
        }
        if (lines.empty()) {
            return;
        }
        head("catalogue.used");
        for (const std::string& line : lines) {
            add(line + "\n");
        }
    }

    void sources() {
        if (m_entry.sources.empty()) {
            return;
        }
        head("catalogue.sources");
        for (const std::string& source : m_entry.sources) {
            add("- " + plain(source) + "\n");
        }
    }

    const chemistry::Catalogue& m_catalogue;
    const std::string& m_list;
    const formats::CatalogueEntry& m_entry;
    const std::vector<std::string>& m_usedIn;
    Json m_json;
    std::string m_text;
};

} // namespace

std::string entryField(const std::string& key) {
    return Texts::current().textOr("property." + lower(key), key);
}

std::string entryPage(const chemistry::Catalogue& catalogue, const std::string& list,
                      const formats::CatalogueEntry& entry, const std::vector<std::string>& usedIn) {
    return Page(catalogue, list, entry, usedIn).written();
}

} // namespace anodex::wording
