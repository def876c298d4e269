// The catalogue to read, and entries of one's own: checked, used at once, undone.
#include "app/views/catalogue/CatalogueView.h"
#include "app/views/catalogue/EntrySheet.h"
#include "app/widgets/CurvePlot.h"
#include "core/chemistry/NameLookup.h"
#include "formats/EmbeddedData.h"
#include "formats/JsonObject.h"
#include "tests/app/WindowFixture.h"

#include <QLabel>
#include <QListWidget>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QTextBrowser>

namespace anodex::app {
namespace {

class CatalogueViewTest : public WindowTest {
protected:
    void openAt(int list, const QString& entry) {
        QTest::keyClick(m_window.get(), Qt::Key_L, Qt::ControlModifier);
        ASSERT_TRUE(find<CatalogueView>("catalogueView")->isVisible());
        find<QListWidget>("catalogueLists")->setCurrentRow(list);
        find<QLineEdit>("catalogueFilter")->setText(entry);
        find<QListWidget>("catalogueEntries")->setCurrentRow(0);
    }
    QLineEdit* field(const QString& key) { return find<QLineEdit>("entryField:" + key); }
    QString fault() { return find<QLabel>("entryFault")->text(); }
    QPlainTextEdit* text() { return find<QPlainTextEdit>("catalogueText"); }
    void press(const QString& button) { QTest::mouseClick(find<QPushButton>(button), Qt::LeftButton); }
    bool knows(const char* material) {
        return chemistry::findMaterial(m_bench->catalogue(), material).has_value();
    }
};

constexpr int kMaterials = 2;
constexpr int kReactions = 5;

TEST_F(CatalogueViewTest, AnEntryIsAPageWithPropertiesAndSources) {
    openAt(kMaterials, "zinc");
    const QString page = find<QTextBrowser>("cataloguePage")->toPlainText();
    EXPECT_TRUE(page.contains("density, g/mL")) << page.toStdString();
    EXPECT_TRUE(page.contains("Sources"));
    press("entryAsFile");
    EXPECT_TRUE(text()->isVisible());
    EXPECT_TRUE(text()->isReadOnly());
    EXPECT_TRUE(text()->toPlainText().contains("density_g_per_mL"));
}

TEST_F(CatalogueViewTest, ALinkOnAPageLeadsToTheOtherEntry) {
    openAt(kMaterials, "zinc");
    emit find<QTextBrowser>("cataloguePage")->anchorClicked(QUrl("catalogue:reactions/zn2-zn"));
    const QString page = find<QTextBrowser>("cataloguePage")->toPlainText();
    EXPECT_TRUE(page.contains("How fast")) << page.toStdString();
    EXPECT_EQ(find<QListWidget>("catalogueLists")->currentItem()->text(), "Reactions");
}

TEST_F(CatalogueViewTest, ASubstanceShowsItsCurvesAndAMaterialNone) {
    openAt(0, "zinc sulfate");
    const auto shown = [this] {
        int count = 0;
        for (const CurvePlot* plot : find<EntrySheet>("entrySheet")->findChildren<CurvePlot*>()) {
            count += plot->isVisible() ? 1 : 0;
        }
        return count;
    };
    EXPECT_EQ(shown(), 3);
    openAt(kMaterials, "zinc");
    EXPECT_EQ(shown(), 0);
    openAt(kReactions, "zincate");
    find<QLineEdit>("catalogueFilter")->setText("Zn(OH)4");
    EXPECT_EQ(shown(), 1);
}

TEST_F(CatalogueViewTest, EveryWarningPictureIsDrawn) {
    formats::Json table;
    ASSERT_FALSE(formats::parseJson(formats::embeddedFile("hazards/pictograms.json"), table));
    const QTextDocument& page = *find<QTextBrowser>("cataloguePage")->document();
    for (const formats::Json& one : table["pictograms"]) {
        const QString id = QString::fromStdString(one["id"].get<std::string>());
        const auto picture =
            page.resource(QTextDocument::ImageResource, QUrl(QStringLiteral("pictogram:") + id))
                .value<QPixmap>();
        ASSERT_FALSE(picture.isNull()) << id.toStdString();
        const QImage image = picture.toImage();
        EXPECT_EQ(qAlpha(image.pixel(image.width() / 2, image.height() / 2)), 255) << id.toStdString();
    }
}

TEST_F(CatalogueViewTest, AnEntryOfOnesOwnIsUsedAtOnceAndUndone) {
    QTest::mouseClick(find<QPushButton>("doorFirst"), Qt::LeftButton);
    openAt(kMaterials, "zinc");
    press("ownEntry");
    EXPECT_EQ(field("name")->text(), "my zinc");
    EXPECT_TRUE(field("name")->hasFocus());
    press("keepEntry");
    ASSERT_TRUE(knows("my zinc")) << fault().toStdString();
    design::CellDesign design = m_bench->draft().design();
    design.negative.material = "my zinc";
    const double before = openCircuit();
    m_bench->edit(design);
    EXPECT_NEAR(openCircuit(), before, 1e-9);
    m_bench->undo();
    m_bench->undo();
    EXPECT_FALSE(knows("my zinc"));
    m_bench->redo();
    EXPECT_TRUE(knows("my zinc"));
}

TEST_F(CatalogueViewTest, TheFormChecksAsItIsFilled) {
    openAt(kMaterials, "zinc");
    press("ownEntry");
    type(field("density_g_per_mL"), "heavy", false);
    EXPECT_TRUE(QTest::qWaitFor([&] { return fault().startsWith("density, g/mL: "); }))
        << fault().toStdString();
    EXPECT_TRUE(field("density_g_per_mL")->property("wrong").toBool());
    EXPECT_FALSE(field("roughness")->property("wrong").toBool());
    press("keepEntry");
    EXPECT_FALSE(knows("my zinc"));
    EXPECT_EQ(field("density_g_per_mL")->text(), "heavy") << "nothing is lost";
    type(field("density_g_per_mL"), "6,9", false);
    EXPECT_TRUE(QTest::qWaitFor([&] { return fault().isEmpty(); })) << fault().toStdString();
    EXPECT_FALSE(field("density_g_per_mL")->property("wrong").toBool());
    press("keepEntry");
    ASSERT_TRUE(knows("my zinc"));
    const auto& mine =
        m_bench->catalogue().materials[*chemistry::findMaterial(m_bench->catalogue(), "my zinc")];
    EXPECT_NEAR(mine.densityKgPerM3, 6900.0, 1e-6) << "a decimal comma is one";
}

TEST_F(CatalogueViewTest, ValuesOutOfRangeAndNamesThatAreTakenAreRefused) {
    openAt(kMaterials, "zinc");
    press("ownEntry");
    for (const char* wrong : {"-3", "0", "1e99", ""}) {
        type(field("density_g_per_mL"), wrong, false);
        press("keepEntry");
        EXPECT_FALSE(knows("my zinc")) << wrong;
        EXPECT_FALSE(fault().isEmpty()) << wrong;
    }
    type(field("density_g_per_mL"), "7.1", false);
    type(field("name"), "copper", false);
    press("keepEntry");
    EXPECT_TRUE(fault().contains("copper")) << fault().toStdString();
    EXPECT_TRUE(field("name")->property("wrong").toBool());
}

TEST_F(CatalogueViewTest, FormAndFileTellTheSame) {
    openAt(kMaterials, "zinc");
    press("ownEntry");
    type(field("name"), "shed zinc", false);
    press("entryAsFile");
    EXPECT_TRUE(text()->toPlainText().contains("\"shed zinc\"")) << text()->toPlainText().toStdString();
    EXPECT_TRUE(text()->toPlainText().contains("\"shed-zinc\"")) << "its id follows its name";
    text()->setPlainText(text()->toPlainText().replace("7.14", "7.2"));
    press("entryAsFile");
    EXPECT_EQ(field("density_g_per_mL")->text(), "7.2");
    press("entryAsFile");
    text()->setPlainText("{ \"id\": ");
    press("entryAsFile");
    EXPECT_TRUE(text()->isVisible()) << "what is no entry stays where it can be mended";
    EXPECT_FALSE(fault().isEmpty());
    press("leaveEntry");
    EXPECT_FALSE(knows("shed zinc"));
}

TEST_F(CatalogueViewTest, ChangedAndTakenOutAgain) {
    openAt(kMaterials, "zinc");
    press("ownEntry");
    press("keepEntry");
    ASSERT_TRUE(knows("my zinc"));
    press("ownEntry"); // now: change mine
    type(field("name"), "shed zinc", false);
    press("keepEntry");
    EXPECT_TRUE(knows("shed zinc"));
    press("removeEntry");
    EXPECT_FALSE(knows("shed zinc"));
    EXPECT_FALSE(knows("my zinc"));
}

TEST_F(CatalogueViewTest, OwnEntriesStayInTheNotebook) {
    openAt(kMaterials, "zinc");
    press("ownEntry");
    press("keepEntry");
    const QString path = m_bench->store().path();
    start(path);
    EXPECT_TRUE(knows("my zinc"));
}

} // namespace
} // namespace anodex::app
