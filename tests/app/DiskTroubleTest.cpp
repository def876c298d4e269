// The window when the disk is full, the folder cannot be written, or the notebook is open elsewhere.
#include "tests/support/DiskTrouble.h"
#include "tests/app/WindowFixture.h"

#include <QPushButton>

namespace anodex::app {
namespace {

TEST_F(WindowTest, AFullDiskIsSaidAndNothingIsLost) {
    QTest::mouseClick(find<QPushButton>("doorFirst"), Qt::LeftButton);
    QTest::keyClick(m_window.get(), Qt::Key_B, Qt::ControlModifier);
    go(6);
    type(find<QLineEdit>("entryLine"), "1.02 V");
    const auto history = m_bench->store().history().size();
    {
        const test::FullDisk full;
        type(find<QLineEdit>("entryLine"), "1.01 V");
        EXPECT_TRUE(message().contains("disk is full")) << message().toStdString();
        EXPECT_EQ(m_bench->selection().readings().size(), 1U);
    }
    EXPECT_EQ(m_bench->store().history().size(), history);
    // What was typed is one key away.
    QTest::keyClick(find<QLineEdit>("entryLine"), Qt::Key_Up);
    QTest::keyClick(find<QLineEdit>("entryLine"), Qt::Key_Return);
    EXPECT_EQ(m_bench->selection().readings().size(), 2U);
}

TEST_F(WindowTest, ANotebookInAReadOnlyFolderIsShownAndNotChanged) {
    QTest::mouseClick(find<QPushButton>("doorFirst"), Qt::LeftButton);
    const QString path = m_bench->store().path();
    start();
    const test::ReadOnlyFolder locked(m_folder.path("documents"));
    m_fileToOpen = path;
    QTest::keyClick(m_window.get(), Qt::Key_O, Qt::ControlModifier);
    ASSERT_EQ(m_bench->store().path(), path) << message().toStdString();
    ASSERT_EQ(m_bench->contents().revisions.size(), 1U);
    const auto before = m_bench->contents().revisions;
    design::CellDesign design = m_bench->draft().design();
    design.gapMetres = 0.02;
    m_bench->edit(design);
    EXPECT_TRUE(message().contains("only be read")) << message().toStdString();
    EXPECT_EQ(m_bench->contents().revisions, before);
    EXPECT_EQ(m_bench->draft().design(), before.front().design) << "the screen shows what is kept";
    QTest::keyClick(m_window.get(), Qt::Key_Z, Qt::ControlModifier);
    EXPECT_TRUE(message().contains("only be read")) << message().toStdString();
}

TEST_F(WindowTest, ANotebookThatIsOpenElsewhereLeavesTheOpenOneAlone) {
    QTest::mouseClick(find<QPushButton>("doorFirst"), Qt::LeftButton);
    const QString path = m_bench->store().path();
    const std::string other = m_folder.path("other.anodex").string();
    auto elsewhere = notebook::Notebook::open(other, notebook::OpenMode::Create, "the shed's computer");
    ASSERT_TRUE(elsewhere);
    m_fileToOpen = QString::fromStdString(other);
    QTest::keyClick(m_window.get(), Qt::Key_O, Qt::ControlModifier);
    EXPECT_TRUE(message().contains("the shed's computer")) << message().toStdString();
    EXPECT_EQ(m_bench->store().path(), path);
    EXPECT_EQ(m_bench->contents().revisions.size(), 1U);
}

} // namespace
} // namespace anodex::app
