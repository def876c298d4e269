#include "app/views/handbook/PageText.h"

#include "app/theme/Words.h"
#include "formats/EmbeddedData.h"
#include "formats/JsonObject.h"

#include <QTextBlock>
#include <QTextCursor>
#include <QTextDocument>
#include <QTextFrame>
#include <QTextTable>

namespace anodex::app {
namespace {

QString row(const QString& keys, const QString& does) {
    return QStringLiteral("| %1 | %2 |\n").arg(keys, does);
}

void dressTable(QTextTable& table, const Colours& colours) {
    QTextTableFormat format = table.format();
    format.setCellPadding(Theme::em(0.3));
    format.setCellSpacing(0);
    format.setBorderCollapse(true);
    format.setBorder(1);
    format.setBorderBrush(colours.rule);
    format.setBorderStyle(QTextFrameFormat::BorderStyle_Solid);
    format.setTopMargin(Theme::em(0.4));
    format.setBottomMargin(Theme::em(0.8));
    constexpr int kMany = 5;
    if (table.columns() >= kMany) {
        format.setWidth(QTextLength(QTextLength::PercentageLength, 100.0)); // wraps, where it would run out
    }
    table.setFormat(format);
}

} // namespace

QString keysPage(const std::vector<Deed>& deeds) {
    QString page = QStringLiteral("# %1\n\n").arg(tr("Keys")) + row(tr("keys"), tr("what they do")) +
                   QStringLiteral("|---|---|\n");
    for (const Deed& deed : deeds) {
        QStringList keys;
        for (const QKeySequence& one : deed.keys) {
            keys << one.toString(QKeySequence::NativeText);
        }
        if (!keys.isEmpty()) {
            page += row(keys.join(QStringLiteral(", ")), QString(deed.words).remove(QStringLiteral("…")));
        }
    }
    page += row(QKeySequence(QKeySequence::Find).toString(QKeySequence::NativeText), tr("Find"));
    page += row(QKeySequence(Qt::ALT | Qt::Key_D).toString(QKeySequence::NativeText), tr("The drawer"));
    page += QStringLiteral("\n## %1\n\n").arg(tr("In a picture")) + row(tr("keys"), tr("what they do")) +
            QStringLiteral("|---|---|\n");
    page += row(tr("Tab"), tr("to the next picture or field"));
    page += row(tr("arrows"), tr("from one thing to its neighbour"));
    page += row(tr("Enter or space"), tr("opens it: how it was found, its choices, its moment"));
    page += row(tr("+ and -"), tr("a size a step larger or smaller, as the wheel does"));
    page += row(tr("F2"), tr("types a size, or a new name"));
    page += row(tr("Escape"), tr("closes what was opened"));
    return page;
}

QString sourcesList() {
    QString list;
    formats::Json file;
    if (!formats::parseJson(formats::embeddedFile("catalogue/sources.json"), file)) {
        for (const auto& [key, source] : file["sources"].items()) {
            list +=
                QStringLiteral("- ") + QString::fromStdString(source.get<std::string>()) + QLatin1Char('\n');
        }
    }
    return list;
}

void dressPage(QTextDocument& document, const Colours& colours) {
    document.setDocumentMargin(Theme::em(0.8));
    QTextCursor cursor(&document);
    for (QTextBlock block = document.begin(); block.isValid(); block = block.next()) {
        cursor.setPosition(block.position());
        QTextBlockFormat format;
        constexpr double kLines = 125.0; // % of the letters' own height
        format.setLineHeight(kLines, QTextBlockFormat::ProportionalHeight);
        if (block.blockFormat().headingLevel() > 1) {
            format.setTopMargin(Theme::em(0.9));
        }
        if (block.blockFormat().headingLevel() > 0) {
            format.setBottomMargin(Theme::em(0.3));
            cursor.movePosition(QTextCursor::EndOfBlock, QTextCursor::KeepAnchor);
            QTextCharFormat letters;
            letters.setFont(Theme::font(block.blockFormat().headingLevel() == 1 ? 1.6 : 1.15, true));
            cursor.mergeCharFormat(letters);
        }
        cursor.mergeBlockFormat(format);
        std::vector<QTextFragment> fragments;
        for (auto part = block.begin(); !part.atEnd(); ++part) {
            fragments.push_back(part.fragment());
        }
        for (const QTextFragment& fragment : fragments) {
            QTextCharFormat letters;
            if (fragment.charFormat().fontFixedPitch()) {
                letters.setFont(Theme::font(1.0));
                letters.setBackground(colours.paper);
            }
            if (fragment.charFormat().isAnchor()) {
                letters.setForeground(colours.focus);
                letters.setFontUnderline(true);
            }
            QTextCursor of(&document);
            of.setPosition(fragment.position());
            of.setPosition(fragment.position() + fragment.length(), QTextCursor::KeepAnchor);
            of.mergeCharFormat(letters);
        }
    }
    for (QTextFrame* frame : document.rootFrame()->childFrames()) {
        if (auto* table = qobject_cast<QTextTable*>(frame)) {
            dressTable(*table, colours);
        }
    }
}

} // namespace anodex::app
