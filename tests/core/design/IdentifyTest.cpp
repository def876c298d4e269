// Names and ids: what a design means stays the same whatever the catalogue calls its entries.
#include "core/design/Identify.h"
#include "core/cell/Doubt.h"
#include "core/design/Resolve.h"
#include "core/shelf/Screening.h"
#include "core/shelf/ShelfNames.h"
#include "formats/CellFile.h"
#include "formats/ShelfFile.h"
#include "tests/support/Samples.h"

#include <gtest/gtest.h>
#include <nlohmann/json.hpp>

namespace anodex::design {
namespace {

template <typename Entry> void rename(std::vector<Entry>& entries) {
    for (Entry& entry : entries) {
        entry.name = "renamed " + entry.id;
        entry.aliases = {};
    }
}

/// Every entry under another name.
chemistry::Catalogue renamedCatalogue() {
    chemistry::Catalogue renamed = test::catalogue();
    rename(renamed.materials);
    rename(renamed.separators);
    rename(renamed.cases);
    rename(renamed.liquids);
    rename(renamed.substances);
    for (chemistry::Material& material : renamed.materials) {
        material.formulaText.clear();
    }
    for (chemistry::Substance& substance : renamed.substances) {
        for (chemistry::Hydrate& hydrate : substance.hydrates) {
            hydrate.names = {};
        }
    }
    for (chemistry::Reaction& reaction : renamed.reactions) {
        reaction.anodicName = "a " + reaction.id;
        reaction.cathodicName = "c " + reaction.id;
    }
    return renamed;
}

CellDesign plainDesign(const std::string& text) {
    auto json = nlohmann::ordered_json::parse(text);
    json["format"] = "anodex-cell/1";
    const auto design = formats::readCellFile(json.dump());
    EXPECT_TRUE(design) << design.error().field;
    return *design;
}

CellDesign designOf(const std::string& json) {
    CellDesign design = plainDesign(json);
    identify(test::catalogue(), design);
    return design;
}

struct Numbers {
    cell::Evaluation evaluation;
    cell::Doubt doubt;
};

Numbers numbersOf(const chemistry::Catalogue& catalogue, const CellDesign& design) {
    const auto cell = resolve(catalogue, design);
    EXPECT_TRUE(cell) << cell.error().field << " " << cell.error().written;
    Numbers numbers;
    numbers.evaluation = cell::evaluate(catalogue, *cell);
    numbers.doubt = *cell::estimateDoubt(catalogue, *cell, numbers.evaluation, {40, 3, 2});
    return numbers;
}

TEST(Ids, RenamingEveryEntryMovesNoNumber) {
    const chemistry::Catalogue renamed = renamedCatalogue();
    int tried = 0;
    for (const auto& entry : std::filesystem::directory_iterator(test::sourceDir() / "data/starters")) {
        const CellDesign design = designOf(test::readText(entry.path()));
        const Numbers before = numbersOf(test::catalogue(), design);
        const Numbers after = numbersOf(renamed, design);
        EXPECT_EQ(before.evaluation.openCircuitVolts, after.evaluation.openCircuitVolts) << entry.path();
        EXPECT_EQ(before.evaluation.first.shortCircuitAmps, after.evaluation.first.shortCircuitAmps);
        EXPECT_EQ(before.evaluation.settled.maximumPower.watts, after.evaluation.settled.maximumPower.watts);
        EXPECT_EQ(before.evaluation.capacity.expectedCoulombs, after.evaluation.capacity.expectedCoulombs);
        EXPECT_EQ(before.evaluation.selfDischargeAmps, after.evaluation.selfDischargeAmps);
        EXPECT_EQ(before.evaluation.resistance.totalOhm, after.evaluation.resistance.totalOhm);
        EXPECT_EQ(before.evaluation.curve, after.evaluation.curve);
        EXPECT_EQ(before.doubt.openCircuitVolts, after.doubt.openCircuitVolts) << entry.path();
        EXPECT_EQ(before.doubt.maximumWatts, after.doubt.maximumWatts) << entry.path();
        EXPECT_EQ(before.doubt.expectedCoulombs, after.doubt.expectedCoulombs) << entry.path();
        ASSERT_EQ(before.doubt.matterMost.size(), after.doubt.matterMost.size());
        for (std::size_t i = 0; i < before.doubt.matterMost.size(); ++i) {
            EXPECT_EQ(before.doubt.matterMost[i].input, after.doubt.matterMost[i].input) << entry.path();
        }
        ++tried;
    }
    EXPECT_GE(tried, 20);
}

TEST(Ids, EveryNameAnEntryAnswersToLeadsBackToIt) {
    const chemistry::Catalogue& catalogue = test::catalogue();
    const auto check = [&](EntryKind kind, const std::vector<std::string>& names, const auto& find) {
        for (const std::string& name : names) {
            Named named(name);
            identify(catalogue, kind, named);
            EXPECT_FALSE(named.id.empty()) << name;
            EXPECT_EQ(named.written, name);
            EXPECT_EQ(find(catalogue, named), find(catalogue, Named(name))) << name;
        }
    };
    check(EntryKind::Material, chemistry::materialNames(catalogue), findMaterial);
    check(EntryKind::Substance, chemistry::substanceNames(catalogue), findSubstance);
    check(EntryKind::Liquid, chemistry::liquidNames(catalogue), findLiquid);
    check(EntryKind::Separator, chemistry::separatorNames(catalogue), findSeparator);
    check(EntryKind::Case, chemistry::caseNames(catalogue), findCase);
}

TEST(Ids, WhatIsWrittenAsAFormulaIsCalledByItsName) {
    const chemistry::Catalogue& catalogue = test::catalogue();
    CellDesign design;
    const std::pair<const char*, const char*> written[] = {{"CuSO4·5H2O", "copper sulfate pentahydrate"},
                                                           {"CuSO4.5H2O", "copper sulfate pentahydrate"},
                                                           {"H2SO4", "sulfuric acid"},
                                                           {"KI", "potassium iodide"},
                                                           {"table salt", "table salt"},
                                                           {"copper sulphate", "copper sulphate"},
                                                           {"Xy2", "Xy2"}};
    for (const auto& [as, name] : written) {
        design.liquid.solutes.emplace_back().substance = as;
    }
    identify(catalogue, design);
    identify(catalogue, design);
    for (std::size_t i = 0; i < std::size(written); ++i) {
        const Named& named = design.liquid.solutes[i].substance;
        EXPECT_EQ(named.written, written[i].second);
        EXPECT_EQ(findSubstance(catalogue, named), findSubstance(catalogue, Named(written[i].first)));
    }
    Named own("KI", "nobody-knows");
    nameFormula(catalogue, own);
    EXPECT_EQ(own.written, "KI") << "the formula is of another entry";
}

TEST(Ids, OfAHydrateKeepWhichOne) {
    const chemistry::Catalogue& catalogue = test::catalogue();
    Named named("copper sulfate pentahydrate");
    identify(catalogue, EntryKind::Substance, named);
    Named plain("copper sulfate");
    identify(catalogue, EntryKind::Substance, plain);
    EXPECT_NE(named.id, plain.id);
    const auto found = findSubstance(renamedCatalogue(), named);
    ASSERT_TRUE(found && found->hydrate);
    EXPECT_EQ(catalogue.substances[found->substance].id, plain.id);
}

TEST(Ids, AnIdNobodyKnowsIsAnUnknownEntryWhateverItsNameSays) {
    CellDesign design = designOf(test::lemon());
    design.negative.material.id = "user:gone";
    identify(test::catalogue(), design);
    EXPECT_EQ(design.negative.material.id, "user:gone") << "kept";
    const auto cell = resolve(test::catalogue(), design);
    ASSERT_FALSE(cell);
    EXPECT_EQ(cell.error().code, DesignError::Code::UnknownMaterial);
    EXPECT_EQ(cell.error().field, "negative.material");
    const auto again = formats::readCellFile(formats::writeCellFile(design));
    ASSERT_TRUE(again);
    EXPECT_EQ(*again, design) << "and comes back from its file";
}

TEST(Ids, AFileKeepsThemAndANameChangedByHandIsLookedUpAnew) {
    const CellDesign design = designOf(test::lemon());
    auto json = formats::cellToJson(design);
    ASSERT_TRUE(json.contains("ids"));
    EXPECT_EQ(*formats::readCellFile(json.dump()), design);
    json["negative"]["material"] = "magnesium";
    const auto edited = formats::readCellFile(json.dump());
    ASSERT_TRUE(edited);
    EXPECT_EQ(edited->negative.material, Named("magnesium"));
    EXPECT_EQ(edited->positive.material, design.positive.material);
    json["ids"] = 7;
    EXPECT_FALSE(formats::readCellFile(json.dump()));
    json["ids"] = {{"metals", {{"zinc", "x"}}}};
    const auto refused = formats::readCellFile(json.dump());
    ASSERT_FALSE(refused);
    EXPECT_EQ(refused.error().field, "ids.metals");
}

TEST(Ids, WithoutOnesAFileIsAsItWas) {
    const CellDesign plain = plainDesign(test::lemon());
    EXPECT_FALSE(formats::cellToJson(plain).contains("ids"));
}

TEST(Ids, OfAShelfSurviveRenamingToo) {
    shelf::Shelf shelf;
    shelf.materials = {{"zinc", 1e-3, {}, {}}, {"copper", 1e-3, {}, {}}};
    shelf.substances = {{"NaCl", 0.1, {}}, {"copper sulfate pentahydrate", 0.1, {}}};
    shelf.liquids = {{"vinegar", 1e-4, {}}};
    shelf.separators = {{"kitchen paper", {}}};
    shelf.cases = {{"glass", {}}};
    const shelf::Shelf plain = shelf;
    shelf::identify(test::catalogue(), shelf);
    EXPECT_NE(shelf, plain);
    for (const shelf::Shelf& kept : {shelf, plain}) {
        const auto again = formats::readShelfFile(formats::writeShelfFile(kept));
        ASSERT_TRUE(again);
        EXPECT_EQ(again->substances[1].substance, kept.substances[1].substance);
        EXPECT_EQ(formats::writeShelfFile(*again), formats::writeShelfFile(kept));
    }
    const chemistry::Catalogue renamed = renamedCatalogue();
    const auto before = shelf::Candidates::create(test::catalogue(), shelf);
    const auto after = shelf::Candidates::create(renamed, shelf);
    ASSERT_TRUE(before && after);
    ASSERT_EQ(before->size(), after->size());
    EXPECT_EQ(cell::evaluate(test::catalogue(), before->cell(0)).openCircuitVolts,
              cell::evaluate(renamed, after->cell(0)).openCircuitVolts);
    EXPECT_FALSE(shelf::Candidates::create(renamed, plain)) << "names alone are lost";
}

} // namespace
} // namespace anodex::design
