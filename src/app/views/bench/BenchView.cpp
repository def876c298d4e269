#include "app/views/bench/BenchView.h"

#include "app/session/Commands.h"
#include "app/session/Deeds.h"
#include "app/views/ViewList.h"
#include "app/views/bench/AsBuiltSheet.h"
#include "app/views/bench/EntryBox.h"
#include "app/views/bench/ImportSheet.h"
#include "app/widgets/CurvePlot.h"
#include "app/widgets/RowList.h"
#include "wording/ChangeText.h"
#include "wording/ErrorText.h"
#include "wording/PartText.h"
#include "wording/Quantities.h"
#include "wording/entry/EntryLine.h"

#include <QDateTime>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QStackedWidget>
#include <QUrl>
#include <QVBoxLayout>
#include <algorithm>

namespace anodex::app {
namespace {

constexpr int kMoment = Qt::UserRole + 2; // of a row, when it was

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

QString clock(record::Millis when) {
    return QDateTime::fromMSecsSinceEpoch(when, Qt::UTC).toString(QStringLiteral("yyyy-MM-dd hh:mm"));
}

} // namespace

BenchView::BenchView(Workbench& bench, const Theme& theme, QWidget* parent)
    : View(parent), m_bench(bench), m_theme(theme), m_stack(new QStackedWidget(this)),
      m_sheet(new ImportSheet(bench, theme, this)), m_asBuilt(new AsBuiltSheet(bench, this)) {
    setObjectName(QStringLiteral("benchView"));
    m_stack->addWidget(makeEmpty());
    m_stack->addWidget(makePage());
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->addWidget(m_stack);
    connect(m_sheet, &ImportSheet::refused, this, &BenchView::refused);
    connect(m_sheet, &ImportSheet::closed, this, [this] { m_entry->setFocus(); });
    connect(m_asBuilt, &AsBuiltSheet::closed, this, [this] { m_entry->setFocus(); });
    onChange(bench, this, kContent & ~Parts(Part::Documents), &BenchView::refresh);
    connect(&theme, &Theme::changed, this, &BenchView::refresh);
    refresh();
}

QWidget* BenchView::makeEmpty() {
    auto* page = new QWidget(this);
    auto* layout = new QVBoxLayout(page);
    auto* words = new QLabel(tr("Nothing has been built from this design yet.\nA build keeps what you "
                                "weighed and measured, and what was expected that day."),
                             page);
    words->setAlignment(Qt::AlignCenter);
    words->setFont(Theme::font(1.15));
    auto* button = new QPushButton(tr("Write down a build"), page);
    button->setObjectName(QStringLiteral("writeDown"));
    button->setFont(Theme::font(1.2));
    button->setToolTip(tr("Ctrl+B"));
    connect(button, &QPushButton::clicked, &m_bench, &Workbench::writeDownBuild);
    layout->addStretch(1);
    layout->addWidget(words);
    layout->addWidget(button, 0, Qt::AlignHCenter);
    layout->addStretch(2);
    return page;
}

QWidget* BenchView::makePage() {
    auto* page = new QWidget(this);
    m_live = new QLabel(page);
    m_live->setObjectName(QStringLiteral("liveValue"));
    m_liveNote = new QLabel(page);
    m_liveNote->setObjectName(QStringLiteral("faint"));
    m_liveNote->setWordWrap(true);
    m_liveNote->setTextFormat(Qt::RichText);
    m_liveNote->setTextInteractionFlags(Qt::LinksAccessibleByMouse | Qt::LinksAccessibleByKeyboard);
    m_liveNote->setAccessibleName(tr("Last reading and what was expected"));
    connect(m_liveNote, &QLabel::linkActivated, this, [this](const QString& quantity) {
        emit numberAsked({static_cast<explain::Quantity>(quantity.toInt()), {}, 0, 0.0},
                         m_liveNote->mapToGlobal(m_liveNote->rect().center()));
    });
    m_plot = new CurvePlot(m_theme, tr("Readings and runs of this build"), page);
    m_list = new RowList(page);
    m_list->setObjectName(QStringLiteral("readingList"));
    m_list->setAccessibleName(tr("Readings and events, newest first"));
    m_list->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    m_box = new EntryBox(
        m_bench, [this](const wording::Entry& entry) { return echoOf(entry); }, page);
    m_entry = m_box->line();
    m_asBuiltButton = new QPushButton(tr("As built"), page);
    m_asBuiltButton->setObjectName(QStringLiteral("asBuilt"));
    connect(m_asBuiltButton, &QPushButton::clicked, this, [this] { m_asBuilt->open(); });
    auto* import = new QPushButton(tr("Import a run"), page);
    import->setObjectName(QStringLiteral("importRun"));
    import->setToolTip(tr("Ctrl+I, or drop a file here"));
    connect(import, &QPushButton::clicked, this, &BenchView::askImport);
    connect(m_box, &EntryBox::entered, this, &BenchView::enter);
    connect(m_box, &EntryBox::refused, this, &BenchView::refused);
    connect(m_box, &EntryBox::escaped, this, [this] {
        if (m_correcting) {
            m_correcting.reset();
            m_entry->setText(QString());
        }
    });
    connect(m_list, &QListWidget::itemActivated, this, &BenchView::open);
    connect(m_list, &QListWidget::itemSelectionChanged, this, [this] {
        if (const QListWidgetItem* row = m_list->currentItem(); row != nullptr && m_list->hasFocus()) {
            m_plot->markMoment(hoursOf(row->data(kMoment).toLongLong()));
        }
    });
    m_list->installEventFilter(this);
    auto* head = new QHBoxLayout;
    head->addWidget(m_live);
    head->addSpacing(static_cast<int>(Theme::em(1.0)));
    head->addWidget(m_liveNote, 1);
    auto* deeds = new QVBoxLayout;
    deeds->addWidget(import);
    deeds->addWidget(m_asBuiltButton);
    deeds->addStretch(1);
    head->addLayout(deeds);
    auto* middle = new QHBoxLayout;
    middle->addWidget(m_plot, 7);
    middle->addWidget(m_list, 3);
    auto* layout = new QVBoxLayout(page);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->addLayout(head);
    layout->addLayout(middle, 1);
    layout->addWidget(m_box);
    return page;
}

void BenchView::refresh() {
    if (m_correcting && !(m_bench.selection().build() != nullptr &&
                          m_bench.selection().build()->build.id == m_correcting->build)) {
        m_correcting.reset();
        m_entry->setText(QString());
    }
    m_stack->setCurrentIndex(m_bench.selection().build() == nullptr ? 0 : 1);
    if (m_bench.selection().build() != nullptr) {
        refreshLive();
        refreshList();
        refreshCurve();
    }
}

void BenchView::refreshLive() {
    const auto readings = m_bench.selection().readings();
    const auto last = std::find_if(readings.rbegin(), readings.rend(),
                                   [](const record::Reading& r) { return !r.struckOut; });
    const record::Expectation& expectation = m_bench.selection().build()->build.expectation;
    const bool current =
        last != readings.rend() && last->quantity == record::ReadingQuantity::ShortCircuitCurrent;
    const record::Expected& expected = current ? expectation.shortCircuitAmps : expectation.openCircuitVolts;
    const explain::Unit unit = current ? explain::Unit::Ampere : explain::Unit::Volt;
    const explain::Quantity quantity =
        current ? explain::Quantity::ShortCircuitCurrent : explain::Quantity::OpenCircuitVoltage;
    const QString wanted = tr("<a href=\"%1\">expected %2 %3, between %4</a>")
                               .arg(static_cast<int>(quantity))
                               .arg(current ? tr("short circuit") : tr("open circuit"),
                                    q(wording::quantityText(expected.value, unit, expected.range)),
                                    q(wording::rangeText(expected.range, unit)));
    const QString differed = m_bench.selection().revision() != nullptr
                                 ? q(wording::changeLine(m_bench.selection().revision()->design,
                                                         m_bench.selection().build()->build.asBuilt))
                                 : QString();
    const bool same = m_bench.selection().revision() == nullptr ||
                      m_bench.selection().revision()->design == m_bench.selection().build()->build.asBuilt;
    m_asBuiltButton->setToolTip(same ? tr("Built as designed; enter what differed") : differed);
    m_asBuiltButton->setText(same ? tr("As built") : tr("As built: differs"));
    if (last == readings.rend()) {
        m_live->setText(tr("– V"));
        m_liveNote->setText(tr("Nothing read yet.<br>%1").arg(wanted));
        return;
    }
    m_live->setText(q(wording::readingText(*last)));
    m_liveNote->setText(
        tr("%1, %2<br>%3").arg(q(wording::readingName(last->quantity)), clock(last->when), wanted));
}

void BenchView::refreshList() {
    struct Line {
        record::Millis when;
        QString text;
        RowKind kind;
        QString id;
        bool struck;
    };
    std::vector<Line> lines;
    for (const record::Reading& reading : m_bench.selection().readings()) {
        lines.push_back({reading.when,
                         q(wording::readingSentence(reading)) +
                             (reading.note.empty() ? QString() : QStringLiteral(" · ") + q(reading.note)),
                         RowKind::Reading, q(reading.id), reading.struckOut});
    }
    for (const record::Event& event : m_bench.selection().events()) {
        lines.push_back({event.when,
                         event.changesCell ? tr("done to it: %1").arg(q(event.text)) : q(event.text),
                         RowKind::Event, q(event.id), false});
    }
    for (const record::RunHeader& run : m_bench.contents().runsOf(m_bench.selection().build()->build.id)) {
        lines.push_back({run.started,
                         tr("run %1, %2").arg(q(run.name), q(wording::durationText(run.durationSeconds))),
                         RowKind::Run, q(run.id), run.setAside});
    }
    std::stable_sort(lines.begin(), lines.end(),
                     [](const Line& a, const Line& b) { return a.when > b.when; });
    const int at = m_list->currentRow();
    m_list->clear();
    for (const Line& line : lines) {
        auto* row = new QListWidgetItem(line.text + QStringLiteral("\n") + clock(line.when), m_list);
        row->setToolTip(line.text);
        row->setData(Qt::UserRole, line.id);
        row->setData(Qt::UserRole + 1, static_cast<int>(line.kind));
        row->setData(kMoment, QVariant::fromValue<qlonglong>(line.when));
        QFont font = m_list->font();
        font.setStrikeOut(line.struck);
        row->setFont(font);
    }
    m_list->setCurrentRow(std::min(at, m_list->count() - 1));
    m_box->refresh();
}

QString BenchView::echoOf(const wording::Entry& entry) const {
    if (entry.kind == wording::Entry::Kind::Nothing || m_bench.selection().build() == nullptr) {
        // With nothing typed, the line tells what the list can do.
        return m_list->count() > 0 ? tr("In the list, Enter corrects and Delete strikes out or brings back")
                                   : QString();
    }
    return m_correcting ? tr("corrects the reading of %1: %2").arg(clock(m_correcting->when), q(entry.echo))
                        : q(entry.echo) + QStringLiteral(" · ") + q(m_bench.selection().build()->build.name);
}

void BenchView::enter(const QString& text, const wording::Entry& entry) {
    if (m_correcting && entry.kind != wording::Entry::Kind::Reading) {
        emit refused(
            tr("\"%1\" is no reading; right would be a number with its unit, such as 1.02 V").arg(text));
        return;
    }
    m_entry->setText(QString()); // unlike clear(), leaves nothing to undo in the field
    if (m_correcting) {
        correct(entry.reading);
    } else if (entry.kind == wording::Entry::Kind::Reading) {
        std::vector<record::Reading> readings = {entry.reading};
        readings.insert(readings.end(), entry.also.begin(), entry.also.end());
        note(m_bench, std::move(readings));
    } else {
        note(m_bench, entry.event);
    }
}

void BenchView::correct(record::Reading right) {
    right.id = m_correcting->id;
    right.build = m_correcting->build;
    right.struckOut = m_correcting->struckOut;
    if (right.when == m_box->enteredAt()) {
        right.when = m_correcting->when; // no other time was typed
    }
    const record::Reading from = *m_correcting;
    m_correcting.reset();
    m_bench.run(commands::correct(from, right));
}

std::optional<record::Reading> BenchView::readingOf(const QListWidgetItem* row) const {
    for (const record::Reading& reading : m_bench.selection().readings()) {
        if (row != nullptr && q(reading.id) == row->data(Qt::UserRole).toString()) {
            return reading;
        }
    }
    return std::nullopt;
}

void BenchView::open(QListWidgetItem* row) {
    if (const auto reading = readingOf(row)) {
        m_correcting = reading;
        m_entry->setText(q(wording::readingEntry(*reading)) +
                         (reading->note.empty() ? QString() : QStringLiteral(" ") + q(reading->note)));
        m_entry->setFocus();
        m_entry->selectAll();
    } else if (row->data(Qt::UserRole + 1).toInt() == static_cast<int>(RowKind::Run)) {
        emit stationAsked(QStringLiteral("judge"));
    }
}

void BenchView::strikeOut(QListWidgetItem* row) {
    if (const auto reading = readingOf(row)) {
        m_bench.run(commands::strikeOut(*reading, !reading->struckOut));
        return;
    }
    for (const record::RunHeader& run : m_bench.contents().runsOf(m_bench.selection().build()->build.id)) {
        if (q(run.id) == row->data(Qt::UserRole).toString()) {
            setRunAside(m_bench, run, !run.setAside);
            return;
        }
    }
    emit refused(tr("An event or note stays as it is; undo takes back the last one (Ctrl+Z)"));
}

bool BenchView::eventFilter(QObject* watched, QEvent* event) {
    if (event->type() != QEvent::KeyPress) {
        return View::eventFilter(watched, event);
    }
    const int key = static_cast<QKeyEvent*>(event)->key();
    if (watched == m_list && key == Qt::Key_Delete && m_list->currentItem() != nullptr) {
        strikeOut(m_list->currentItem());
        return true;
    }
    return View::eventFilter(watched, event);
}

void BenchView::keyPressEvent(QKeyEvent* event) {
    const bool printable = !event->text().isEmpty() && event->text().front().isPrint() &&
                           (event->modifiers() & (Qt::ControlModifier | Qt::AltModifier)) == 0;
    if (printable && m_bench.selection().build() != nullptr && !m_sheet->isVisible() &&
        !m_asBuilt->isVisible()) {
        m_entry->setFocus();
        m_entry->insert(event->text());
        return;
    }
    View::keyPressEvent(event);
}

void BenchView::arrive() {
    m_entry->setFocus();
}

std::vector<Deed> BenchView::deeds() {
    return {{QStringLiteral("importRun"),
             Deed::Group::Work,
             tr("Import a run…"),
             {QKeySequence(Qt::CTRL | Qt::Key_I)},
             [this] { askImport(); }}};
}

void BenchView::askImport() {
    if (m_bench.selection().build() == nullptr) {
        emit refused(tr("A run belongs to a build: write down a build first (Ctrl+B)"));
        return;
    }
    const QString path = m_bench.services().chooseOpen(
        tr("Import a run"), tr("Text with columns (*.csv *.txt *.tsv);;All files (*)"));
    if (!path.isEmpty()) {
        startImport(path);
    }
}

void BenchView::startImport(const QString& path) {
    if (m_bench.selection().build() == nullptr) {
        emit refused(tr("A run belongs to a build: write down a build first (Ctrl+B)"));
        return;
    }
    if (m_sheet->open(path)) {
        m_sheet->setGeometry(rect().adjusted(8, 8, -8, -8));
    }
}

void BenchView::resizeEvent(QResizeEvent* event) {
    View::resizeEvent(event);
    // As large as it fits: an eighth of the height, never smaller than half as large again as the text.
    constexpr double kLargest = 4.2;
    constexpr double kSmallest = 1.5;
    const double share = 0.125 * height() / Theme::em(1.0);
    m_live->setFont(Theme::font(std::clamp(share, kSmallest, kLargest), true));
    m_asBuilt->place();
    m_sheet->setGeometry(rect().adjusted(8, 8, -8, -8));
}

bool BenchView::takes(const QString& path) const {
    return !isPlace(path) && !path.endsWith(QLatin1String(".json"));
}

ViewEntry benchEntry() {
    return {"bench",
            BenchView::tr("Bench"),
            BenchView::tr("what the meter says"),
            6,
            {},
            ViewEntry::Needs::Design,
            true,
            [](Workbench& bench, const Theme& theme, QWidget* parent) -> View* {
                return new BenchView(bench, theme, parent);
            }};
}

} // namespace anodex::app
