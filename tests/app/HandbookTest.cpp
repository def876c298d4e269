// The handbook in the window: what leads to a page, from it, and how a page is found.
#include "app/frame/FindMatch.h"
#include "app/views/ViewList.h"
#include "app/views/handbook/HandbookView.h"
#include "tests/app/WindowFixture.h"

#include <QListWidget>
#include <QPushButton>
#include <QTextBrowser>
#include <QUrl>

namespace anodex::app {
namespace {

class HandbookTest : public WindowTest {
protected:
    HandbookView* book() { return find<HandbookView>(QStringLiteral("handbookView")); }
    QString pageText() { return find<QTextBrowser>(QStringLiteral("handbookPage"))->toPlainText(); }
    void press(int key, Qt::KeyboardModifiers with = {}) {
        QTest::keyClick(focused(), static_cast<Qt::Key>(key), with);
    }
    QStringList found() {
        QStringList lines;
        const auto* list = find<QListWidget>(QStringLiteral("findList"));
        for (int i = 0; i < list->count(); ++i) {
            lines << list->item(i)->text();
        }
        return lines;
    }
    void seek(const QString& words) {
        QTest::keyClick(m_window.get(), Qt::Key_F, Qt::ControlModifier);
        type(find<QLineEdit>(QStringLiteral("findField")), words, false);
    }
};

TEST_F(HandbookTest, EachViewLeadsToItsPageAndEscapeBack) {
    openDemo();
    for (const ViewEntry& view : viewList()) {
        if (view.id == QLatin1String("handbook")) {
            continue;
        }
        m_window->showStation(view.id);
        QTest::keyClick(m_window.get(), Qt::Key_F1);
        EXPECT_EQ(m_window->station(), QStringLiteral("handbook"));
        EXPECT_EQ(book()->place().toStdString(), wording::handbookPlaceOfView(view.id)) << view.id;
        press(Qt::Key_Escape);
        EXPECT_EQ(m_window->station(), QString::fromLatin1(view.id));
    }
}

TEST_F(HandbookTest, EveryFindingOfTheRailIsOneClickFromItsPage) {
    openDemo();
    m_window->showStation(QStringLiteral("couple"));
    const auto& findings = m_bench->draft().outcome().findings;
    ASSERT_GE(findings.size(), 2U);
    for (std::size_t i = 0; i < findings.size(); ++i) {
        const QString id = i == 0 ? QStringLiteral("readFinding") : QStringLiteral("finding:%1").arg(i);
        const std::string place = wording::handbookPlace(findings[i]);
        click(picture("rail"), id);
        EXPECT_EQ(book()->place().toStdString(), place);
        EXPECT_EQ(m_window->station(), QStringLiteral("handbook"));
        m_window->showStation(QStringLiteral("couple"));
    }
}

TEST_F(HandbookTest, LinksLeadOnBackAndToTheViews) {
    openDemo();
    m_window->openFile(QStringLiteral("handbook:your-first-cell"));
    auto* page = find<QTextBrowser>(QStringLiteral("handbookPage"));
    auto* back = find<QPushButton>(QStringLiteral("handbookBack"));
    emit page->anchorClicked(QUrl(QStringLiteral("sizes-and-currents.md")));
    EXPECT_EQ(book()->place(), QStringLiteral("sizes-and-currents"));
    EXPECT_TRUE(pageText().contains(QStringLiteral("154 mA")));
    QTest::mouseClick(back, Qt::LeftButton);
    EXPECT_EQ(book()->place(), QStringLiteral("your-first-cell"));
    QTest::mouseClick(find<QPushButton>(QStringLiteral("handbookForward")), Qt::LeftButton);
    EXPECT_EQ(book()->place(), QStringLiteral("sizes-and-currents"));
    EXPECT_FALSE(find<QPushButton>(QStringLiteral("handbookForward"))->isEnabled());
    emit page->anchorClicked(QUrl(QStringLiteral("station:cell")));
    EXPECT_EQ(m_window->station(), QStringLiteral("cell"));
}

TEST_F(HandbookTest, WordsFindThePagesThatHoldThem) {
    m_window->showStation(QStringLiteral("handbook"));
    auto* words = find<QLineEdit>(QStringLiteral("handbookWords"));
    auto* list = find<QListWidget>(QStringLiteral("handbookPages"));
    const int all = list->count();
    type(words, QStringLiteral("chlorate"));
    EXPECT_LT(list->count(), all);
    EXPECT_EQ(book()->place(), QStringLiteral("charging-safely"));
    EXPECT_EQ(find<QTextBrowser>(QStringLiteral("handbookPage"))->textCursor().selectedText(),
              QStringLiteral("chlorate"));
    type(words, QStringLiteral("zzzz"));
    EXPECT_EQ(list->count(), 0);
    EXPECT_EQ(book()->place(), QStringLiteral("charging-safely")) << "a search without a hit leads nowhere";
    words->clear();
    EXPECT_EQ(list->count(), all);
}

TEST_F(HandbookTest, TheKeysAreThoseOfTheProgram) {
    m_window->openFile(QStringLiteral("handbook:keys"));
    for (const char* key : {"F1", "Ctrl+B", "Ctrl+Shift+N", "Ctrl+Z", "Alt+2"}) {
        EXPECT_TRUE(pageText().contains(QLatin1String(key))) << key;
    }
    m_window->openFile(QStringLiteral("handbook:about"));
    EXPECT_TRUE(pageText().contains(QStringLiteral("SIL Open Font License")));
    EXPECT_TRUE(pageText().contains(QStringLiteral("CODATA"))) << "the sources of the catalogue";
}

TEST_F(HandbookTest, FindKnowsPagesMaterialsAndStarters) {
    seek(QStringLiteral("gas and flames"));
    ASSERT_EQ(found().size(), 1);
    press(Qt::Key_Return);
    EXPECT_EQ(book()->place(), QStringLiteral("gas-and-flames"));
    seek(QStringLiteral("carbon felt material"));
    press(Qt::Key_Return);
    EXPECT_EQ(m_window->station(), QStringLiteral("catalogue"));
    EXPECT_EQ(find<QListWidget>(QStringLiteral("catalogueEntries"))->currentItem()->text(),
              QStringLiteral("carbon felt"));
    seek(QStringLiteral("lemon juice with salt starter"));
    press(Qt::Key_Return);
    EXPECT_EQ(m_window->station(), QStringLiteral("couple"));
    EXPECT_EQ(m_bench->selection().revision()->name, "Lemon juice with salt");
}

TEST_F(HandbookTest, FindForgivesSlipsAndSaysWhenNothingFits) {
    seek(QStringLiteral("magnesuim"));
    ASSERT_FALSE(found().isEmpty());
    EXPECT_TRUE(found().front().contains(QStringLiteral("magnesium"), Qt::CaseInsensitive))
        << found().front().toStdString();
    type(find<QLineEdit>(QStringLiteral("findField")), QStringLiteral("qqqqqqqq"), false);
    ASSERT_EQ(found().size(), 1);
    EXPECT_TRUE(found().front().contains(QStringLiteral("Nothing")));
    press(Qt::Key_Return);
    EXPECT_TRUE(find<QListWidget>(QStringLiteral("findList"))->isVisible()) << "there is nothing to go to";
    EXPECT_EQ(fitOf(QStringLiteral("Zinc"), {QStringLiteral("zn")}), Fit::None) << "two letters are no slip";
    EXPECT_EQ(fitOf(QStringLiteral("Zinc sulfate"), {QStringLiteral("sulf")}), Fit::Holds);
    EXPECT_EQ(fitOf(QStringLiteral("Zinc sulfate"), {QStringLiteral("zinc"), QStringLiteral("sulfrate")}),
              Fit::Nearly);
}

} // namespace
} // namespace anodex::app
