#include "app/views/catalogue/CatalogueView.h"

#include "app/session/Commands.h"
#include "app/theme/Theme.h"
#include "app/views/ViewList.h"
#include "app/views/catalogue/EntryForm.h"
#include "app/views/catalogue/EntrySheet.h"
#include "app/widgets/RowList.h"
#include "formats/JsonObject.h"
#include "wording/PartText.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QStackedWidget>
#include <QTimer>
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

CatalogueView::CatalogueView(Workbench& bench, const Theme& theme, QWidget* parent)
    : View(parent), m_bench(bench), m_lists(new RowList(this)), m_filter(new QLineEdit(this)),
      m_entries(new RowList(this)), m_check(new QTimer(this)) {
    setObjectName(QStringLiteral("catalogueView"));
    m_lists->setObjectName(QStringLiteral("catalogueLists"));
    m_lists->setAccessibleName(tr("Lists of the catalogue"));
    m_entries->setObjectName(QStringLiteral("catalogueEntries"));
    m_entries->setAccessibleName(tr("Entries"));
    for (QListWidget* each : {m_lists, m_entries}) {
        each->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    }
    m_filter->setObjectName(QStringLiteral("catalogueFilter"));
    m_filter->setAccessibleName(tr("Find in this list"));
    m_filter->setPlaceholderText(tr("find by name"));
    for (const std::string& list : formats::openLists()) {
        m_lists->addItem(listName(list));
    }
    m_lists->setCurrentRow(0);
    m_lists->ensurePolished();
    m_lists->setFixedWidth(m_lists->sizeHintForColumn(0) + static_cast<int>(Theme::em(1.0)));
    auto* middle = new QVBoxLayout;
    middle->addWidget(m_filter);
    middle->addWidget(m_entries, 1);
    auto* layout = new QHBoxLayout(this);
    layout->addWidget(m_lists);
    layout->addLayout(middle, 3);
    layout->addWidget(makeEntry(theme), 5);
    connect(m_lists, &QListWidget::currentRowChanged, this, &CatalogueView::list);
    connect(m_filter, &QLineEdit::textChanged, this, &CatalogueView::list);
    connect(m_entries, &QListWidget::currentRowChanged, this, &CatalogueView::show);
    connect(&theme, &Theme::changed, this, &CatalogueView::refresh);
    constexpr int kSettleMilliseconds = 250;
    m_check->setInterval(kSettleMilliseconds);
    m_check->setSingleShot(true);
    connect(m_check, &QTimer::timeout, this, &CatalogueView::check);
    onChange(bench, this, Part::Documents | Part::File, &CatalogueView::refresh);
}

QWidget* CatalogueView::makeEntry(const Theme& theme) {
    auto* side = new QWidget(this);
    auto* layout = new QVBoxLayout(side);
    layout->setContentsMargins(static_cast<int>(Theme::em(0.5)), 0, 0, 0);
    m_title = new QLabel(side);
    m_title->setFont(Theme::font(1.15, true));
    m_title->setWordWrap(true);
    m_sheet = new EntrySheet(m_bench, theme, side);
    m_form = new EntryForm(side);
    m_text = new QPlainTextEdit(side);
    m_text->setObjectName(QStringLiteral("catalogueText"));
    m_text->setAccessibleName(tr("The entry as it stands in the file"));
    m_faces = new QStackedWidget(side);
    for (QWidget* face : std::initializer_list<QWidget*>{m_sheet, m_form, m_text}) {
        m_faces->addWidget(face);
    }
    m_fault = new QLabel(side);
    m_fault->setObjectName(QStringLiteral("entryFault"));
    m_fault->setWordWrap(true);
    layout->addWidget(m_title);
    layout->addWidget(m_faces, 1);
    layout->addWidget(m_fault);
    layout->addWidget(makeButtons());
    connect(m_sheet, &EntrySheet::linkFollowed, this, &CatalogueView::take);
    connect(m_form, &EntryForm::changed, m_check, qOverload<>(&QTimer::start));
    connect(m_text, &QPlainTextEdit::textChanged, this, [this] {
        if (m_isEditing && m_asFile->isChecked()) {
            m_check->start();
        }
    });
    return side;
}

QWidget* CatalogueView::makeButtons() {
    auto* side = new QWidget(this);
    auto* row = new QHBoxLayout(side);
    row->setContentsMargins(0, 0, 0, 0);
    const auto add = [&](const QString& words, const char* name) {
        auto* button = new QPushButton(words, side);
        button->setObjectName(QString::fromLatin1(name));
        row->addWidget(button);
        return button;
    };
    m_own = add(tr("Make my own from it"), "ownEntry");
    m_keep = add(tr("Keep it"), "keepEntry");
    m_leave = add(tr("Leave it"), "leaveEntry");
    m_remove = add(tr("Take mine out"), "removeEntry");
    row->addStretch(1);
    m_asFile = add(tr("As a file"), "entryAsFile");
    m_asFile->setCheckable(true);
    connect(m_own, &QPushButton::clicked, this, &CatalogueView::startOwn);
    connect(m_keep, &QPushButton::clicked, this, &CatalogueView::keep);
    connect(m_leave, &QPushButton::clicked, this, &CatalogueView::endOwn);
    connect(m_remove, &QPushButton::clicked, this, &CatalogueView::remove);
    connect(m_asFile, &QPushButton::toggled, this, &CatalogueView::changeFace);
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
    if (isVisible() && !m_isEditing) {
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
        const QString name =
            q(chosenList() == "reactions" ? wording::prettyEquation(entry.name) : entry.name);
        m_entries->addItem(mine ? tr("%1 (mine)").arg(name) : name);
        row = entry.id == at ? static_cast<int>(m_shown.size()) : row;
        m_shown.push_back(std::move(entry));
    }
    m_entries->setCurrentRow(m_shown.empty() ? -1 : row);
    show(m_entries->currentRow());
}

void CatalogueView::show(int row) {
    const bool any = row >= 0 && static_cast<std::size_t>(row) < m_shown.size();
    m_isEditing = false;
    m_title->setVisible(!any);
    m_title->setText(any ? QString() : tr("Nothing of that name"));
    m_text->setPlainText({});
    m_sheet->clear();
    if (any) {
        const formats::CatalogueEntry& entry = m_shown[static_cast<std::size_t>(row)];
        m_text->setPlainText(q(entry.text));
        m_sheet->show(chosenList(), entry);
    }
    showFace();
}

/// The face that fits what is being done, and its buttons.
void CatalogueView::showFace() {
    const int row = m_entries->currentRow();
    const bool any = row >= 0 && static_cast<std::size_t>(row) < m_shown.size();
    const bool mine = any && ownDocument(chosenList(), m_shown[static_cast<std::size_t>(row)].id) != nullptr;
    m_text->setReadOnly(!m_isEditing);
    m_faces->setCurrentWidget(m_asFile->isChecked() ? static_cast<QWidget*>(m_text)
                              : m_isEditing         ? static_cast<QWidget*>(m_form)
                                                    : m_sheet);
    m_own->setVisible(any && !m_isEditing);
    m_own->setText(mine ? tr("Change mine") : tr("Make my own from it"));
    m_remove->setVisible(mine && !m_isEditing);
    m_asFile->setVisible(any);
    m_fault->setVisible(m_isEditing);
    m_fault->setText({});
    for (QPushButton* button : {m_keep, m_leave}) {
        button->setVisible(m_isEditing);
    }
}

/// What was typed in one face goes on in the other, unless it is no entry at all.
void CatalogueView::changeFace() {
    if (m_isEditing && m_asFile->isChecked()) {
        m_text->setPlainText(q(m_form->text()));
    } else if (m_isEditing) {
        formats::Json json;
        if (formats::parseJson(m_text->toPlainText().toStdString(), json) || !json.is_object()) {
            const QSignalBlocker quiet(m_asFile);
            m_asFile->setChecked(true);
            check();
            return;
        }
        m_form->edit(m_text->toPlainText().toStdString(), m_isNew);
    }
    showFace();
    if (m_isEditing) {
        check();
    }
}

std::string CatalogueView::typed() const {
    return m_asFile->isChecked() ? m_text->toPlainText().toStdString() : m_form->text();
}

/// Under the id of an entry of the catalogue a new one would take its place: only the file says so on purpose.
QString CatalogueView::faultOf(const formats::OwnEntry& entry) const {
    const auto entries = formats::entriesOf(m_bench.store().catalogue().files(), entry.list);
    const auto same = std::find_if(entries.begin(), entries.end(),
                                   [&](const auto& other) { return other.id == formats::idOf(entry); });
    if (m_isNew && !m_asFile->isChecked() && same != entries.end()) {
        return tr("name: \"%1\" is taken already; give it another").arg(q(same->name));
    }
    return m_bench.store().catalogue().faultOf(entry);
}

bool CatalogueView::check() {
    const QString fault = faultOf({chosenList(), typed()});
    const QString told = m_form->mark(fault);
    m_fault->setText(m_asFile->isChecked() ? fault : told);
    return fault.isEmpty();
}

void CatalogueView::endOwn() {
    show(m_entries->currentRow());
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
    m_isNew = ownDocument(chosenList(), entry.id) == nullptr;
    const QString text = m_isNew ? ownFrom(entry.text) : q(entry.text);
    m_isEditing = true;
    m_text->setPlainText(text);
    m_form->edit(text.toStdString(), m_isNew);
    m_title->setVisible(true);
    m_title->setText(m_isNew ? tr("Give it a name and your own values, then keep it")
                             : tr("Change it, then keep it"));
    showFace();
    if (m_asFile->isChecked()) {
        m_text->setFocus();
    } else {
        m_form->focusName();
    }
}

void CatalogueView::keep() {
    if (!check()) {
        return;
    }
    const formats::OwnEntry entry{chosenList(), typed()};
    const std::string id = formats::idOf(entry);
    const record::Document* before = ownDocument(entry.list, id);
    record::Document document =
        before != nullptr ? *before
                          : record::Document{{}, record::DocumentKind::OwnEntry, entry.list, {}, false};
    document.text = entry.text;
    m_isEditing = false;
    if (m_bench.run(commands::put(std::move(document), base::Said("command.own-entry", {{"name", id}})))) {
        take(kCatalogue + q(entry.list) + QLatin1Char('/') + q(id));
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
    const std::string id = path.mid(kCatalogue.size()).section(QLatin1Char('/'), 1).toStdString();
    m_filter->clear();
    for (int i = 0; i < m_lists->count(); ++i) {
        if (formats::openLists()[static_cast<std::size_t>(i)] == list.toStdString()) {
            m_lists->setCurrentRow(i);
        }
    }
    this->list();
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
            [](Workbench& bench, const Theme& theme, QWidget* parent) -> View* {
                return new CatalogueView(bench, theme, parent);
            }};
}

} // namespace anodex::app
