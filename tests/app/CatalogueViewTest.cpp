// The catalogue to read, and entries of one's own: checked, used at once, undone.
#include "app/views/catalogue/CatalogueView.h"
#include "core/chemistry/NameLookup.h"
#include "tests/app/WindowFixture.h"

#include <QLabel>
#include <QListWidget>
#include <QPlainTextEdit>
#include <QPushButton>

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
    QPlainTextEdit* text() { return find<QPlainTextEdit>("catalogueText"); }
    void press(const QString& button) { QTest::mouseClick(find<QPushButton>(button), Qt::LeftButton); }
    bool knows(const char* material) {
        return chemistry::findMaterial(m_bench->catalogue(), material).has_value();
    }
};

constexpr int kMaterials = 2;

TEST_F(CatalogueViewTest, ShowsAnEntryWithItsSourcesSpelledOut) {
    openAt(kMaterials, "zinc");
    EXPECT_TRUE(text()->isReadOnly());
    EXPECT_TRUE(text()->toPlainText().contains("density_g_per_mL"));
    bool spelled = false;
    for (const QLabel* label : m_window->findChildren<QLabel*>()) {
        spelled |= label->isVisible() && label->text().startsWith("from: ") && label->text().size() > 20;
    }
    EXPECT_TRUE(spelled);
}

TEST_F(CatalogueViewTest, AnEntryOfOnesOwnIsUsedAtOnceAndUndone) {
    QTest::mouseClick(find<QPushButton>("doorFirst"), Qt::LeftButton);
    openAt(kMaterials, "zinc");
    press("ownEntry");
    EXPECT_FALSE(text()->isReadOnly());
    EXPECT_TRUE(text()->toPlainText().contains("\"my zinc\""));
    press("keepEntry");
    ASSERT_TRUE(knows("my zinc")) << message().toStdString();
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

TEST_F(CatalogueViewTest, AFaultIsToldAndWhatWasTypedStays) {
    openAt(kMaterials, "zinc");
    press("ownEntry");
    QString broken = text()->toPlainText();
    broken.replace("\"density_g_per_mL\"", "\"density_g_per_ml\"");
    text()->setPlainText(broken);
    press("keepEntry");
    EXPECT_TRUE(message().contains("density_g_per_m")) << message().toStdString();
    EXPECT_EQ(text()->toPlainText(), broken);
    EXPECT_FALSE(text()->isReadOnly());
    EXPECT_FALSE(knows("my zinc"));
}

TEST_F(CatalogueViewTest, ChangedAndTakenOutAgain) {
    openAt(kMaterials, "zinc");
    press("ownEntry");
    press("keepEntry");
    ASSERT_TRUE(knows("my zinc"));
    press("ownEntry"); // now: change mine
    QString changed = text()->toPlainText();
    changed.replace("my zinc", "shed zinc");
    text()->setPlainText(changed);
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
