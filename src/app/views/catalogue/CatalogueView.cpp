#include "app/views/catalogue/CatalogueView.h"

#include "app/session/Commands.h"
#include "app/theme/Theme.h"
#include "app/views/ViewList.h"
#include "formats/JsonObject.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QVBoxLayout>
#include <algorithm>

namespace anodex::app {
namespace {

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

QString listName(const std::string& list) {
    constexpr std::pair<const char*, const char*> kNames[] = {
        {"substances", QT_TRANSLATE_NOOP("Catalogue", "Substances")},
        {"liquids", QT_TRANSLATE_NOOP("Catalogue", "Ready liquids")},
        {"materials", QT_TRANSLATE_NOOP("Catalogue", "Materials")},
        {"separators", QT_TRANSLATE_NOOP("Catalogue", "Separators")},
        {"cases", QT_TRANSLATE_NOOP("Catalogue", "Cases")},
        {"reactions", QT_TRANSLATE_NOOP("Catalogue", "Reactions")},
        {"species", QT_TRANSLATE_NOOP("Catalogue", "Species")},
        {"rules", QT_TRANSLATE_NOOP("Catalogue", "What eats what")}};
    for (const auto& [id, name] : kNames) {
        if (list == id) {
            return CatalogueView::tr(name);
        }
    }
    return q(list);
}

/// The entry to start from: the same numbers under an id and a name of its own.
QString ownFrom(const std::string& text) {
    formats::Json json;
    if (formats::parseJson(text, json)) {
        return {};
    }
    for (const char* key : {"id", "name"}) {
        if (json.contains(key) && json[key].is_string()) {
            json[key] = "my " + json[key].get<std::string>();
        }
    }
    if (json.contains("id")) {
        std::string id = json["id"].get<std::string>();
        std::replace(id.begin(), id.end(), ' ', '-');
        json["id"] = id;
    }
    if (json.contains("aliases")) {
        json["aliases"] = formats::Json::array();
    }
    json["sources"] = {"own"};
    return q(json.dump(2));
}

} // namespace

CatalogueView::CatalogueView(Workbench& bench, QWidget* parent)
    : View(parent), m_bench(bench), m_lists(new QListWidget(this)), m_filter(new QLineEdit(this)),
      m_entries(new QListWidget(this)) {
    setObjectName(QStringLiteral("catalogueView"));
    m_lists->setObjectName(QStringLiteral("catalogueLists"));
    m_lists->setAccessibleName(tr("Lists of the catalogue"));
    m_lists->setMaximumWidth(static_cast<int>(Theme::em(10.0)));
    m_entries->setObjectName(QStringLiteral("catalogueEntries"));
    m_entries->setAccessibleName(tr("Entries"));
    m_filter->setObjectName(QStringLiteral("catalogueFilter"));
    m_filter->setAccessibleName(tr("Find in this list"));
    m_filter->setPlaceholderText(tr("find by name"));
    for (const std::string& list : formats::openLists()) {
        m_lists->addItem(listName(list));
    }
    m_lists->setCurrentRow(0);
    auto* middle = new QVBoxLayout;
    middle->addWidget(m_filter);
    middle->addWidget(m_entries, 1);
    auto* layout = new QHBoxLayout(this);
    layout->addWidget(m_lists);
    layout->addLayout(middle, 2);
    layout->addWidget(makeEntry(), 4);
    connect(m_lists, &QListWidget::currentRowChanged, this, &CatalogueView::list);
    connect(m_filter, &QLineEdit::textChanged, this, &CatalogueView::list);
    connect(m_entries, &QListWidget::currentRowChanged, this, &CatalogueView::show);
    onChange(bench, this, Part::Documents | Part::File, &CatalogueView::refresh);
}

QWidget* CatalogueView::makeEntry() {
    auto* side = new QWidget(this);
    auto* layout = new QVBoxLayout(side);
    m_title = new QLabel(side);
    m_title->setFont(Theme::font(1.3, true));
    m_sources = new QLabel(side);
    m_sources->setObjectName(QStringLiteral("entrySources"));
    m_sources->setWordWrap(true);
    m_text = new QPlainTextEdit(side);
    m_text->setObjectName(QStringLiteral("catalogueText"));
    m_text->setAccessibleName(tr("The entry as it stands in the file"));
    m_text->setReadOnly(true);
    m_own = new QPushButton(tr("Make my own from it"), side);
    m_own->setObjectName(QStringLiteral("ownEntry"));
    m_keep = new QPushButton(tr("Check and keep"), side);
    m_keep->setObjectName(QStringLiteral("keepEntry"));
    m_remove = new QPushButton(tr("Take mine out"), side);
    m_remove->setObjectName(QStringLiteral("removeEntry"));
    auto* row = new QHBoxLayout;
    for (QPushButton* button : {m_own, m_keep, m_remove}) {
        row->addWidget(button);
    }
    row->addStretch(1);
    layout->addWidget(m_title);
    layout->addWidget(m_sources);
    layout->addWidget(m_text, 1);
    layout->addLayout(row);
    connect(m_own, &QPushButton::clicked, this, &CatalogueView::startOwn);
    connect(m_keep, &QPushButton::clicked, this, &CatalogueView::keep);
    connect(m_remove, &QPushButton::clicked, this, &CatalogueView::remove);
    return side;
}

std::string CatalogueView::chosenList() const {
    return formats::openLists().at(static_cast<std::size_t>(std::max(0, m_lists->currentRow())));
}

void CatalogueView::showEvent(QShowEvent* event) {
    View::showEvent(event);
    m_lists->doItemsLayout(); // filled before it had its looks
    refresh();
}

void CatalogueView::refresh() {
    if (isVisible() && m_text->isReadOnly()) {
        list();
    }
}

void CatalogueView::list() {
    const std::string at =
        m_entries->currentRow() >= 0 && static_cast<std::size_t>(m_entries->currentRow()) < m_shown.size()
            ? m_shown[static_cast<std::size_t>(m_entries->currentRow())].id
            : std::string();
    const QSignalBlocker quiet(m_entries);
    m_entries->clear();
    m_shown.clear();
    int row = 0;
    for (formats::CatalogueEntry& entry :
         formats::entriesOf(m_bench.store().catalogue().files(), chosenList())) {
        const bool wanted = q(entry.name).contains(m_filter->text(), Qt::CaseInsensitive) ||
                            q(entry.id).contains(m_filter->text(), Qt::CaseInsensitive);
        if (!wanted) {
            continue;
        }
        const bool mine = ownDocument(chosenList(), entry.id) != nullptr;
        m_entries->addItem(mine ? tr("%1 (mine)").arg(q(entry.name)) : q(entry.name));
        row = entry.id == at ? static_cast<int>(m_shown.size()) : row;
        m_shown.push_back(std::move(entry));
    }
    m_entries->setCurrentRow(m_shown.empty() ? -1 : row);
    show(m_entries->currentRow());
}

void CatalogueView::show(int row) {
    const bool any = row >= 0 && static_cast<std::size_t>(row) < m_shown.size();
    m_text->setReadOnly(true);
    m_keep->setVisible(false);
    m_own->setVisible(any);
    m_remove->setVisible(false);
    m_title->setText(any ? q(m_shown[static_cast<std::size_t>(row)].name) : tr("Nothing of that name"));
    m_text->setPlainText({});
    m_sources->setText({});
    if (!any) {
        return;
    }
    const formats::CatalogueEntry& entry = m_shown[static_cast<std::size_t>(row)];
    QStringList sources;
    for (const std::string& source : entry.sources) {
        sources << q(source);
    }
    m_sources->setText(tr("from: %1").arg(sources.join(QStringLiteral("; "))));
    m_text->setPlainText(q(entry.text));
    const bool mine = ownDocument(chosenList(), entry.id) != nullptr;
    m_remove->setVisible(mine);
    m_own->setText(mine ? tr("Change mine") : tr("Make my own from it"));
}

const record::Document* CatalogueView::ownDocument(const std::string& list, const std::string& id) const {
    const auto& documents = m_bench.contents().documents;
    const auto found = std::find_if(documents.begin(), documents.end(), [&](const record::Document& one) {
        return one.kind == record::DocumentKind::OwnEntry && !one.setAside && one.name == list &&
               formats::idOf({list, one.text}) == id;
    });
    return found == documents.end() ? nullptr : &*found;
}

void CatalogueView::startOwn() {
    const int row = m_entries->currentRow();
    if (row < 0) {
        return;
    }
    const formats::CatalogueEntry& entry = m_shown[static_cast<std::size_t>(row)];
    const bool mine = ownDocument(chosenList(), entry.id) != nullptr;
    m_text->setPlainText(mine ? q(entry.text) : ownFrom(entry.text));
    m_text->setReadOnly(false);
    m_text->setFocus();
    m_keep->setVisible(true);
    m_own->setVisible(false);
    m_title->setText(mine ? tr("Change it, then keep it") : tr("Change id, name and values, then keep it"));
}

void CatalogueView::keep() {
    const formats::OwnEntry entry{chosenList(), m_text->toPlainText().toStdString()};
    if (const QString fault = m_bench.store().catalogue().faultOf(entry); !fault.isEmpty()) {
        emit refused(fault);
        return;
    }
    const std::string id = formats::idOf(entry);
    const record::Document* before = ownDocument(entry.list, id);
    record::Document document =
        before != nullptr ? *before
                          : record::Document{{}, record::DocumentKind::OwnEntry, entry.list, {}, false};
    document.text = entry.text;
    m_text->setReadOnly(true);
    if (m_bench.run(commands::put(std::move(document), base::Said("command.own-entry", {{"name", id}})))) {
        m_filter->clear();
        list();
        for (std::size_t i = 0; i < m_shown.size(); ++i) {
            if (m_shown[i].id == id) {
                m_entries->setCurrentRow(static_cast<int>(i));
            }
        }
    }
}

void CatalogueView::remove() {
    const int row = m_entries->currentRow();
    if (row < 0) {
        return;
    }
    const std::string id = m_shown[static_cast<std::size_t>(row)].id;
    if (const record::Document* document = ownDocument(chosenList(), id)) {
        record::Document gone = *document;
        gone.setAside = true;
        m_bench.run(commands::put(std::move(gone), base::Said("command.own-entry-out", {{"name", id}})));
    }
}

bool CatalogueView::takes(const QString& path) const {
    return path.startsWith(kCatalogue);
}

void CatalogueView::take(const QString& path) {
    const QString list = path.mid(kCatalogue.size()).section(QLatin1Char('/'), 0, 0);
    const std::string id = path.section(QLatin1Char('/'), 1).toStdString();
    m_filter->clear();
    for (int i = 0; i < m_lists->count(); ++i) {
        if (formats::openLists()[static_cast<std::size_t>(i)] == list.toStdString()) {
            m_lists->setCurrentRow(i);
        }
    }
    for (std::size_t i = 0; i < m_shown.size(); ++i) {
        if (m_shown[i].id == id) {
            m_entries->setCurrentRow(static_cast<int>(i));
        }
    }
}

ViewEntry catalogueEntry() {
    return {"catalogue",
            CatalogueView::tr("Catalogue and sources"),
            CatalogueView::tr("what the numbers stand on"),
            0,
            QKeySequence(Qt::CTRL | Qt::Key_L),
            ViewEntry::Needs::Nothing,
            false,
            [](Workbench& bench, const Theme& /*theme*/, QWidget* parent) -> View* {
                return new CatalogueView(bench, parent);
            }};
}

} // namespace anodex::app
