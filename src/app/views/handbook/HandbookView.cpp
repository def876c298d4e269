#include "app/views/handbook/HandbookView.h"

#include "app/views/ViewList.h"
#include "app/views/handbook/PageText.h"
#include "app/widgets/RowList.h"

#include <QAbstractTextDocumentLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QRegularExpression>
#include <QScrollBar>
#include <QTextBlock>
#include <QTextBrowser>
#include <QVBoxLayout>
#include <algorithm>

namespace anodex::app {
namespace {

const QString kStation = QStringLiteral("station:");
const QString kFileEnding = QStringLiteral(".md");
constexpr const char* kKeys = "keys";
constexpr const char* kAbout = "about";

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

QString sectionOf(const QString& place) {
    return place.section(QLatin1Char('#'), 1);
}

QString pageOf(const QString& place) {
    return place.section(QLatin1Char('#'), 0, 0);
}

/// A number and its unit stay in one line.
QString held(const QString& markdown) {
    static const QRegularExpression kBreak(
        QStringLiteral("(?<=\\d) (?=(m?[VAW]|m?Ah|[mk]?Ω|ohm|k?g|m?L|mm|cm²|°C|min|h|%|ppm)\\b)"));
    return QString(markdown).replace(kBreak, QStringLiteral("\u00A0"));
}

bool holds(const wording::HandbookPage& page, const QStringList& words) {
    const QString all = q(page.title + "\n" + page.text);
    return std::all_of(words.begin(), words.end(),
                       [&](const QString& word) { return all.contains(word, Qt::CaseInsensitive); });
}

} // namespace

HandbookView::HandbookView(Workbench& /*bench*/, const Theme& theme, QWidget* parent)
    : VisitedView(parent), m_theme(theme), m_pages(wording::handbookPages()), m_words(new QLineEdit(this)),
      m_list(new RowList(this)), m_none(new QLabel(this)), m_back(new QPushButton(tr("Back"), this)),
      m_forward(new QPushButton(tr("Forward"), this)), m_leave(new QPushButton(this)),
      m_page(new QTextBrowser(this)) {
    setObjectName(QStringLiteral("handbookView"));
    m_words->setObjectName(QStringLiteral("handbookWords"));
    m_words->setAccessibleName(tr("Find in the handbook"));
    m_words->setPlaceholderText(tr("find in the handbook"));
    m_list->setObjectName(QStringLiteral("handbookPages"));
    m_list->setAccessibleName(tr("Pages of the handbook"));
    m_list->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    m_none->setWordWrap(true);
    m_back->setObjectName(QStringLiteral("handbookBack"));
    m_forward->setObjectName(QStringLiteral("handbookForward"));
    m_leave->setObjectName(QStringLiteral("handbookLeave"));
    m_page->setObjectName(QStringLiteral("handbookPage"));
    m_page->setAccessibleName(tr("Page"));
    m_page->setOpenLinks(false);
    layOut();
    m_list->ensurePolished(); // or its rows are laid out without the room the style gives them
    list({});
    connect(m_words, &QLineEdit::textChanged, this, &HandbookView::list);
    connect(m_words, &QLineEdit::returnPressed, this, [this] {
        if (const QListWidgetItem* row = m_list->currentItem()) {
            open(row->data(Qt::UserRole).toString());
        }
    });
    connect(m_list, &QListWidget::itemClicked, this,
            [this](const QListWidgetItem* row) { open(row->data(Qt::UserRole).toString()); });
    connect(m_list, &QListWidget::itemActivated, this,
            [this](const QListWidgetItem* row) { open(row->data(Qt::UserRole).toString()); });
    connect(m_page, &QTextBrowser::anchorClicked, this, &HandbookView::follow);
    connect(m_back, &QPushButton::clicked, this, [this] { step(m_before, m_after); });
    connect(m_forward, &QPushButton::clicked, this, [this] { step(m_after, m_before); });
    connect(m_leave, &QPushButton::clicked, this, [this] { emit stationAsked(cameFrom()); });
    connect(&theme, &Theme::changed, this, [this] { show(m_place); });
    show(q(m_pages.front().id));
}

void HandbookView::layOut() {
    auto* side = new QVBoxLayout;
    side->addWidget(m_words);
    side->addWidget(m_none);
    side->addWidget(m_list, 1);
    auto* ways = new QHBoxLayout;
    for (QPushButton* button : {m_back, m_forward, m_leave}) {
        ways->addWidget(button);
    }
    ways->addStretch(1);
    auto* reading = new QVBoxLayout;
    reading->addLayout(ways);
    reading->addWidget(m_page, 1);
    auto* layout = new QHBoxLayout(this);
    layout->addLayout(side, 2);
    layout->addLayout(reading, 5);
}

void HandbookView::list(const QString& words) {
    m_list->clear();
    const QStringList wanted = words.split(QLatin1Char(' '), Qt::SkipEmptyParts);
    std::string chapter;
    for (const wording::HandbookPage& page : m_pages) {
        if (!holds(page, wanted)) {
            continue;
        }
        if (page.chapter != chapter) {
            chapter = page.chapter;
            auto* head = new QListWidgetItem(q(chapter), m_list);
            head->setFlags(Qt::NoItemFlags);
            head->setFont(Theme::font(0.9, true));
            head->setForeground(m_theme.colours().faint);
        }
        auto* row = new QListWidgetItem(q(page.title), m_list);
        row->setData(Qt::UserRole, q(page.id));
        row->setToolTip(q(page.title));
        const bool first = !wanted.isEmpty() && m_list->currentRow() < 0;
        if (first || (wanted.isEmpty() && q(page.id) == pageOf(m_place))) {
            m_list->setCurrentItem(row);
        }
    }
    m_none->setVisible(m_list->count() == 0);
    m_none->setText(tr("Nothing here holds \"%1\"; try a single word").arg(words));
}

void HandbookView::open(const QString& place) {
    if (place.isEmpty()) {
        return;
    }
    if (place != m_place) {
        m_before.push_back(m_place);
        m_after.clear();
    }
    show(place);
    // What was sought is shown where it first stands.
    if (!m_words->text().isEmpty() && sectionOf(place).isEmpty()) {
        m_page->find(m_words->text().section(QLatin1Char(' '), 0, 0));
    }
}

void HandbookView::step(std::vector<QString>& from, std::vector<QString>& to) {
    to.push_back(m_place);
    const QString place = from.back();
    from.pop_back();
    show(place);
}

QString HandbookView::markdownOf(const wording::HandbookPage& page) const {
    if (page.id == kKeys) {
        return keysPage(m_allDeeds ? m_allDeeds() : std::vector<Deed>());
    }
    return page.id == kAbout ? q(page.text) + QLatin1Char('\n') + sourcesList() : q(page.text);
}

void HandbookView::show(const QString& place) {
    const auto page = std::find_if(m_pages.begin(), m_pages.end(), [&](const wording::HandbookPage& one) {
        return q(one.id) == pageOf(place);
    });
    if (page == m_pages.end()) {
        return; // remembered by a version that had it
    }
    m_place = place;
    m_page->setMarkdown(held(markdownOf(*page)));
    dressPage(*m_page->document(), m_theme.colours());
    m_page->moveCursor(QTextCursor::Start);
    for (int i = 0; i < m_list->count(); ++i) {
        if (m_list->item(i)->data(Qt::UserRole).toString() == q(page->id)) {
            m_list->setCurrentRow(i);
        }
    }
    scrollTo(sectionOf(place));
    m_back->setEnabled(!m_before.empty());
    m_forward->setEnabled(!m_after.empty());
}

void HandbookView::scrollTo(const QString& section) {
    int top = 0;
    for (QTextBlock block = m_page->document()->begin(); block.isValid(); block = block.next()) {
        if (!section.isEmpty() && block.blockFormat().headingLevel() > 0 &&
            q(wording::sectionId(block.text().toStdString())) == section) {
            m_page->setTextCursor(QTextCursor(block));
            top = static_cast<int>(m_page->document()->documentLayout()->blockBoundingRect(block).top());
        }
    }
    m_page->verticalScrollBar()->setValue(top);
}

void HandbookView::follow(const QUrl& link) {
    const QString target = link.toString();
    if (target.startsWith(kStation)) {
        emit stationAsked(target.mid(kStation.size()));
        return;
    }
    open(QString(target).remove(kFileEnding));
}

void HandbookView::arriveFrom(const QString& view) {
    if (view.isEmpty()) {
        return;
    }
    VisitedView::arriveFrom(view);
    for (const ViewEntry& entry : viewList()) {
        if (view == QLatin1String(entry.id)) {
            m_leave->setText(tr("To %1").arg(entry.title));
        }
    }
    m_leave->setVisible(true);
    open(q(wording::handbookPlaceOfView(view.toStdString())));
    m_page->setFocus();
}

bool HandbookView::takes(const QString& path) const {
    return path.startsWith(kHandbook);
}

void HandbookView::take(const QString& path) {
    open(path.mid(kHandbook.size()));
}

ViewEntry handbookEntry() {
    return {"handbook",
            HandbookView::tr("Handbook"),
            HandbookView::tr("what each view is for, what a warning means, keys and words"),
            0,
            QKeySequence(Qt::Key_F1),
            ViewEntry::Needs::Nothing,
            false,
            [](Workbench& bench, const Theme& theme, QWidget* parent) -> View* {
                return new HandbookView(bench, theme, parent);
            }};
}

} // namespace anodex::app
