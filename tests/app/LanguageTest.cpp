// In a language of marked letters every text of every view is changed, and nothing is cut though it is longer.
#include "tests/app/CutTexts.h"
#include "tests/app/WindowFixture.h"
#include "wording/Texts.h"

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
        const chemistry::Catalogue& catalogue = m_bench->catalogue();
        for (const auto& one : catalogue.materials) {
            add(one.name);
        }
        for (const auto& one : catalogue.substances) {
            add(one.name);
            add(one.formulaText);
        }
        for (const auto& one : catalogue.liquids) {
            add(one.name);
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
        for (const auto& one : catalogue.sources) {
            add(one.text);
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
            if (!widget->isVisible()) {
                continue;
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

TEST_F(LanguageTest, NothingIsCutThoughEveryTextIsLonger) {
    openDemo();
    for (const ViewEntry& view : viewList()) {
        m_window->showStation(view.id);
        EXPECT_EQ(cutTexts(*m_window).join('\n').toStdString(), "") << view.id;
    }
}

} // namespace
} // namespace anodex::app
