// In a language of marked letters every text of every view is changed, and nothing is cut though it is longer.
#include "app/frame/Drawer.h"
#include "app/frame/FileActions.h"
#include "app/frame/FrameDeeds.h"
#include "app/views/couple/CoupleView.h"
#include "formats/CellFile.h"
#include "formats/EmbeddedData.h"
#include "tests/app/CutTexts.h"
#include "tests/app/WindowFixture.h"
#include "wording/ErrorText.h"
#include "wording/FindingText.h"
#include "wording/Texts.h"
#include "wording/entry/EntryLine.h"

#include "app/widgets/ExplainPanel.h"

#include <QAbstractButton>
#include <QLabel>
#include <QListWidget>
#include <QRegularExpression>
#include <QTreeWidget>
#include <set>

namespace anodex::app {
namespace {

class LanguageTest : public WindowTest {
protected:
    LanguageTest() {
        wording::Texts::use(wording::kPseudo);
        start();
    }
    ~LanguageTest() override {
        m_window.reset();
        wording::Texts::use("en");
    }

    /// Words that are names: of the catalogue, of what the builder wrote, of units.
    std::set<QString> names() {
        std::set<QString> words = {"mol",   "min", "days", "and", "Enter",
                                   "Click", "Alt", "Ctrl", "UTC", "html"};
        const auto add = [&](const std::string& name) {
            for (const QString& word : wordsOf(QString::fromStdString(name))) {
                words.insert(word.toLower());
            }
        };
        const auto addAll = [&](const std::vector<std::string>& aliases) {
            for (const std::string& alias : aliases) {
                add(alias);
            }
        };
        const chemistry::Catalogue& catalogue = m_bench->catalogue();
        for (const auto& one : catalogue.materials) {
            add(one.name);
            addAll(one.aliases);
        }
        for (const auto& one : catalogue.substances) {
            add(one.name);
            add(one.formulaText);
            addAll(one.aliases);
            for (const auto& hydrate : one.hydrates) {
                addAll(hydrate.names);
            }
        }
        for (const auto& one : catalogue.liquids) {
            add(one.name);
            addAll(one.aliases);
        }
        for (const auto& one : catalogue.separators) {
            add(one.name);
        }
        for (const auto& one : catalogue.cases) {
            add(one.name);
        }
        for (const auto& one : catalogue.species) {
            add(one.name);
        }
        for (const auto& one : catalogue.reactions) {
            add(one.equation);
            add(one.id);
        }
        for (const auto& one : m_bench->contents().projects) {
            add(one.name);
        }
        for (const char* unit : {"mAh", "shed.shelf.json"}) {
            add(unit);
        }
        for (const auto& one : m_bench->contents().revisions) {
            add(one.name);
        }
        for (const auto& one : m_bench->contents().builds) {
            add(one.build.name);
            for (const auto& run : one.allRuns) {
                add(run.name);
            }
            for (const auto& event : one.events) {
                add(event.text);
            }
            for (const auto& reading : one.readings) {
                add(reading.note);
            }
        }
        return words;
    }

    static QStringList wordsOf(const QString& text) {
        static const QRegularExpression word("[A-Za-z\u00c0-\u024f]{3,}");
        QStringList words;
        for (auto match = word.globalMatch(text); match.hasNext();) {
            words << match.next().captured();
        }
        return words;
    }

    /// Words that no table changed.
    QStringList plainWords(const QString& text, const std::set<QString>& exempt) {
        static const QRegularExpression plain("[aeiouyAEIOUn]");
        static const QRegularExpression tags("<[^>]*>");
        QStringList left;
        for (const QString& word : wordsOf(QString(text).remove(tags))) {
            if (word.contains(plain) && !exempt.contains(word.toLower())) {
                left << word;
            }
        }
        return left;
    }

    /// Everything that can be read or heard in sight.
    std::set<QString> visibleTexts() {
        QCoreApplication::processEvents();
        std::set<QString> texts;
        for (QWidget* widget : m_window->findChildren<QWidget*>()) {
            if (!widget->isVisible() || widget->objectName() == "entrySources") {
                continue; // what an entry stands on is cited, not told
            }
            texts.insert(widget->toolTip());
            if (widget->focusPolicy() != Qt::NoFocus) {
                texts.insert(widget->accessibleName());
            }
            if (const auto* label = qobject_cast<QLabel*>(widget)) {
                texts.insert(label->text());
            } else if (const auto* button = qobject_cast<QAbstractButton*>(widget)) {
                texts.insert(button->text());
            } else if (const auto* list = qobject_cast<QListWidget*>(widget)) {
                for (int i = 0; i < list->count(); ++i) {
                    texts.insert(list->item(i)->text());
                }
            } else if (const auto* picture = qobject_cast<Picture*>(widget)) {
                for (const PictureItem& item : picture->items()) {
                    texts.insert(item.name);
                    texts.insert(item.value);
                    texts.insert(item.tooltip);
                }
            }
        }
        return texts;
    }

    void expectAllChanged(const std::string& where) {
        const std::set<QString> exempt = names();
        for (const QString& text : visibleTexts()) {
            const QStringList left = plainWords(text, exempt);
            EXPECT_TRUE(left.isEmpty())
                << where << ": " << left.join(' ').toStdString() << " in: " << text.toStdString();
        }
    }
};

TEST_F(LanguageTest, EveryTextOfEveryViewIsChanged) {
    openDemo();
    for (const ViewEntry& view : viewList()) {
        m_window->showStation(view.id);
        expectAllChanged(view.id);
    }
}

TEST_F(LanguageTest, TheFacesOfACoupleTheDoorsAndFindAreChanged) {
    expectAllChanged("doors");
    openDemo();
    for (const auto face : {CoupleView::Face::Curves, CoupleView::Face::Charge}) {
        m_window->showStation("couple");
        m_window->findChild<CoupleView*>()->showFace(face);
        QTest::qWait(100);
        expectAllChanged(face == CoupleView::Face::Charge ? "charge" : "curves");
    }
    QTest::keyClick(m_window.get(), Qt::Key_F, Qt::ControlModifier);
    expectAllChanged("find");
}

TEST_F(LanguageTest, EveryExplanationIsChangedButForWhatItCites) {
    openDemo();
    const static QRegularExpression cited("\\d{4}|memory|handbook|datasheet|[Dd]ata", {});
    std::set<QString> exempt = names();
    int lines = 0;
    for (const ViewEntry& view : viewList()) {
        m_window->showStation(view.id);
        for (Picture* shown : m_window->findChildren<Picture*>()) {
            std::vector<QString> ids;
            for (const PictureItem& item : shown->items()) {
                if (shown->isVisible() && item.opens) {
                    ids.push_back(item.id);
                }
            }
            for (const QString& id : ids) {
                click(shown, id);
                const QTreeWidget* tree = m_window->explainPanel()->tree();
                for (QTreeWidgetItemIterator row(const_cast<QTreeWidget*>(tree)); *row != nullptr; ++row) {
                    for (const QString& line :
                         ((*row)->text(0).section('(', 0, 0) + "\n" + (*row)->text(2)).split('\n')) {
                        const bool isCited = line.contains(cited) || line.contains("E(") ||
                                             line.contains("_") || line.contains("a(");
                        ++lines;
                        EXPECT_TRUE(isCited || plainWords(line, exempt).isEmpty())
                            << id.toStdString() << ": " << line.toStdString();
                    }
                }
                QTest::keyClick(m_window->explainPanel()->tree(), Qt::Key_Escape);
            }
        }
    }
    EXPECT_GT(lines, 200);
}

TEST_F(LanguageTest, EveryFindingOfEveryStarterIsChanged) {
    int findings = 0;
    for (const formats::EmbeddedFile& file : formats::embeddedFiles()) {
        if (!file.name.starts_with("starters/")) {
            continue;
        }
        m_bench->startDesign(*formats::readCellFile(file.content));
        const std::set<QString> exempt = names();
        for (const findings::Finding& finding : m_bench->draft().outcome().findings) {
            const wording::FindingText words = wording::findingText(finding);
            for (const std::string& text : {words.title, words.text, words.remedy}) {
                const QStringList left = plainWords(QString::fromStdString(text), exempt);
                EXPECT_TRUE(left.isEmpty()) << left.join(' ').toStdString() << " in: " << text;
            }
            ++findings;
        }
    }
    EXPECT_GT(findings, 30);
}

TEST_F(LanguageTest, RefusalsAndQuestionsAreChanged) {
    using notebook::NotebookError;
    std::vector<std::string> texts;
    for (int code = 0; code <= static_cast<int>(NotebookError::Code::Stopped); ++code) {
        texts.push_back(wording::errorText(NotebookError{static_cast<NotebookError::Code>(code), "7", 0}));
    }
    for (int code = 0; code <= static_cast<int>(formats::CsvError::Code::UnknownZone); ++code) {
        texts.push_back(
            wording::errorText(formats::CsvError{static_cast<formats::CsvError::Code>(code), 7, "7"}));
    }
    for (const char* typed : {"5", "between 0.9 and 1.0 V", "1.02 V 7 days", "1.0 V tomorrow",
                              "0.9 V with lamp", "900 V", "1 V 2 V", "ocv 0.8 V 10 ohm", "12 kg 3 V"}) {
        const wording::Entry entry = wording::readEntry(typed, 1'790'000'000'000, {1.1, 0.1});
        texts.push_back(entry.kind == wording::Entry::Kind::Question ? entry.question.text : entry.echo);
    }
    std::set<QString> exempt = names();
    for (const char* word : {"lamp", "days", "tomorrow", "with", "between", "zone", "europe", "berlin", "ohm",
                             "anodex", "csv"}) {
        exempt.insert(word);
    }
    for (const std::string& text : texts) {
        const QStringList left = plainWords(QString::fromStdString(text), exempt);
        EXPECT_TRUE(left.isEmpty()) << left.join(' ').toStdString() << " in: " << text;
    }
}

TEST_F(LanguageTest, SheetsMenusAndAnswersAreChanged) {
    openDemo();
    go(6);
    m_fileToOpen = QString::fromStdString(m_folder.path("run.csv").string());
    test::writeText(m_fileToOpen.toStdString(),
                    "time,voltage,current\n0,1.02,0\n60,1.01,0.001\n120,1.0,0.001\n180,1.01,0\n");
    QTest::mouseClick(find<QPushButton>("importRun"), Qt::LeftButton);
    std::set<QString> exempt = names();
    for (const char* word : {"time", "voltage", "current", "min", "run", "csv"}) {
        exempt.insert(word); // as they stand in the file and its name
    }
    for (const QString& text : visibleTexts()) {
        EXPECT_TRUE(plainWords(text, exempt).isEmpty()) << "import: " << text.toStdString();
    }
    QTest::mouseClick(find<QPushButton>("importCancel"), Qt::LeftButton);
    QTest::mouseClick(find<QPushButton>("asBuilt"), Qt::LeftButton);
    expectAllChanged("as built");
    QTest::keyClick(focused(), Qt::Key_Escape);
    design::CellDesign design = m_bench->draft().design();
    design.gapMetres = 0.031;
    m_bench->edit(design);
    for (int step = 0; step < 3; ++step) {
        EXPECT_TRUE(plainWords(message(), names()).isEmpty()) << message().toStdString();
        step == 0 ? m_bench->undo() : m_bench->redo();
    }
    FileActions files(*m_bench, m_window.get());
    QMenu drawer;
    Drawer::fill(drawer, frameDeeds(*m_bench, files), m_theme, {}, {});
    for (const QAction* action : drawer.findChildren<QAction*>()) {
        const QString words = action->text().section('\t', 0, 0);
        EXPECT_TRUE(plainWords(words, names()).isEmpty()) << words.toStdString();
    }
}

TEST_F(LanguageTest, WhatIsWrongWithAFileIsChanged) {
    const static QRegularExpression quoted("\"[^\"]*\"|[a-z]+(?:_[A-Za-z]+)+");
    std::set<QString> exempt = names();
    for (const char* word : {"line", "json", "pH", "none", "still", "breathing", "true", "false", "null"}) {
        exempt.insert(QString(word).toLower());
    }
    int files = 0;
    for (const auto& entry :
         std::filesystem::directory_iterator(test::sourceDir() / "tests/data/cells/invalid")) {
        const auto design = formats::readCellFile(test::readText(entry.path()));
        const std::string problem = design ? outcomeOf(m_bench->catalogueHandle(), *design).problem
                                           : wording::errorText(design.error());
        const QString words = QString::fromStdString(problem).section(": ", 1).remove(quoted);
        const QStringList left = plainWords(words, exempt);
        EXPECT_TRUE(left.isEmpty()) << left.join(' ').toStdString() << " in: " << problem;
        ++files;
    }
    EXPECT_GT(files, 20);
}

TEST_F(LanguageTest, WhatNoTableHasStandsAsItIs) {
    EXPECT_EQ(QCoreApplication::translate("QLocalSocket", "%1: Never written here").arg(7),
              "7: Never written here");
}

TEST_F(LanguageTest, NothingIsCutThoughEveryTextIsLonger) {
    openDemo();
    for (const ViewEntry& view : viewList()) {
        m_window->showStation(view.id);
        EXPECT_EQ(cutTexts(*m_window).join('\n').toStdString(), "") << view.id;
    }
}

} // namespace
} // namespace anodex::app
