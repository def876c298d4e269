// Every starter cell in the real window: Couple and Cell show it whole.
#include "formats/CellFile.h"
#include "formats/EmbeddedData.h"
#include "tests/app/WindowFixture.h"

#include <QListWidget>
#include <QPushButton>
#include <algorithm>

namespace anodex::app {
namespace {

std::vector<std::string> starterFiles() {
    std::vector<std::string> names;
    for (const formats::EmbeddedFile& file : formats::embeddedFiles()) {
        if (file.name.starts_with("starters/")) {
            names.emplace_back(file.name);
        }
    }
    return names;
}

TEST_F(WindowTest, EveryStarterShowsItsCoupleAndItsSection) {
    ASSERT_GE(starterFiles().size(), 20U);
    for (const std::string& name : starterFiles()) {
        const auto design = formats::readCellFile(formats::embeddedFile(name));
        ASSERT_TRUE(design) << name;
        m_bench->startDesign(*design);
        ASSERT_TRUE(m_bench->draft().outcome().usable()) << name;
        go(2);
        const Picture* ladder = picture("ladder");
        for (const char* id : {"foot:0", "foot:1"}) {
            ASSERT_NE(ladder->item(QString::fromLatin1(id)), nullptr) << name << " " << id;
        }
        // The working couple of either side has a rung that is not blocked.
        for (const auto& side : m_bench->draft().outcome().evaluation->sides) {
            const auto& competing = side.competing;
            EXPECT_TRUE(std::any_of(competing.begin(), competing.end(),
                                    [&](const cell::CompetingReaction& entry) {
                                        return entry.reaction == side.couple.reaction &&
                                               entry.blocked == electrode::Blocked::No;
                                    }))
                << name;
        }
        go(3);
        const Picture* section = picture("section");
        for (const char* id : {"negative", "positive", "gap", "liquid:0"}) {
            ASSERT_NE(section->item(QString::fromLatin1(id)), nullptr) << name << " " << id;
        }
        EXPECT_EQ(section->item(QStringLiteral("separator")) != nullptr, design->separator.has_value())
            << name;
        if (design->positive.collector) {
            EXPECT_TRUE(
                section->item(QStringLiteral("positive"))
                    ->value.contains(QString::fromStdString(design->positive.collector->material.written)))
                << name;
        }
    }
}

TEST_F(WindowTest, ThePickerOpensAtOnceAndFillsInTheVoltages) {
    QTest::mouseClick(find<QPushButton>("doorFirst"), Qt::LeftButton);
    click(picture("ladder"), "foot:1");
    const auto* list = find<QListWidget>("materialList");
    EXPECT_EQ(list->item(1)->text(), QStringLiteral("zinc"));
    EXPECT_TRUE(QTest::qWaitFor(
        [&] { return list->item(list->count() - 1)->text().contains(QStringLiteral("V")); }, 20000));
}

} // namespace
} // namespace anodex::app
