#include "app/views/bench/ImportSheet.h"

#include "app/views/bench/SaidOfCurrent.h"
#include "app/widgets/CurvePlot.h"
#include "app/widgets/Listed.h"
#include "quantity/Units.h"
#include "wording/CsvText.h"
#include "wording/ErrorText.h"
#include "wording/Quantities.h"

#include <QCheckBox>
#include <QComboBox>
#include <QFile>
#include <QFileInfo>
#include <QHBoxLayout>
#include <QHeaderView>
#include <QKeyEvent>
#include <QLabel>
#include <QProgressBar>
#include <QPushButton>
#include <QTableWidget>
#include <QVBoxLayout>

namespace anodex::app {
namespace {

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

struct RoleChoice {
    const char* text;
    formats::ColumnRole role;
    double toSi;
};
constexpr std::size_t kLongFile = 8'000'000; // characters; a shorter one is read before a finger is lifted

constexpr RoleChoice kRoleChoices[] = {
    {QT_TRANSLATE_NOOP("anodex::app::ImportSheet", "leave out"), formats::ColumnRole::Ignored, 1.0},
    {QT_TRANSLATE_NOOP("anodex::app::ImportSheet", "time, s"), formats::ColumnRole::Time, 1.0},
    {QT_TRANSLATE_NOOP("anodex::app::ImportSheet", "time, ms"), formats::ColumnRole::Time, 1e-3},
    {QT_TRANSLATE_NOOP("anodex::app::ImportSheet", "time, min"), formats::ColumnRole::Time, 60.0},
    {QT_TRANSLATE_NOOP("anodex::app::ImportSheet", "time, h"), formats::ColumnRole::Time, 3600.0},
    {QT_TRANSLATE_NOOP("anodex::app::ImportSheet", "voltage, V"), formats::ColumnRole::Voltage, 1.0},
    {QT_TRANSLATE_NOOP("anodex::app::ImportSheet", "voltage, mV"), formats::ColumnRole::Voltage, 1e-3},
    {QT_TRANSLATE_NOOP("anodex::app::ImportSheet", "current, A"), formats::ColumnRole::Current, 1.0},
    {QT_TRANSLATE_NOOP("anodex::app::ImportSheet", "current, mA"), formats::ColumnRole::Current, 1e-3},
    {QT_TRANSLATE_NOOP("anodex::app::ImportSheet", "current, µA"), formats::ColumnRole::Current, 1e-6}};

constexpr std::size_t kBuckets = 400; // of a curve

} // namespace

ImportSheet::ImportSheet(Workbench& bench, const Theme& theme, QWidget* parent)
    : QFrame(parent), m_bench(bench), m_theme(theme), m_ask(new QWidget(this)), m_askText(new QLabel(m_ask)),
      m_askChoices(new QHBoxLayout), m_title(new QLabel(this)), m_state(new QLabel(this)),
      m_table(new QTableWidget(this)),
      m_plot(new CurvePlot(theme, tr("The curve this file would make"), this)),
      m_amps(new CurvePlot(theme, tr("The current this file would make"), this)),
      m_sign(new QCheckBox(tr("Positive current charges the cell"), this)),
      m_add(new QPushButton(tr("Add"), this)), m_cancel(new QPushButton(tr("Cancel"), this)),
      m_progress(new QProgressBar(this)) {
    setObjectName(QStringLiteral("card"));
    setAccessibleName(tr("Import a run"));
    m_title->setFont(Theme::font(1.2, true));
    m_state->setObjectName(QStringLiteral("importState"));
    m_state->setWordWrap(true);
    m_table->setObjectName(QStringLiteral("importTable"));
    m_table->setAccessibleName(tr("First rows as read"));
    m_table->verticalHeader()->hide();
    m_table->setEditTriggers(QAbstractItemView::NoEditTriggers);
    m_sign->setObjectName(QStringLiteral("importSign"));
    m_add->setObjectName(QStringLiteral("importAdd"));
    m_add->setDefault(true);
    m_cancel->setObjectName(QStringLiteral("importCancel"));
    m_progress->setAccessibleName(tr("Progress of the import"));
    m_progress->hide();
    m_plot->setAxes(tr("time, s"), tr("voltage, V"));
    m_amps->setObjectName(QStringLiteral("importCurrent"));
    m_amps->setAxes(tr("time, s"), tr("current drawn, A"));
    m_amps->hide();
    auto* buttons = new QHBoxLayout;
    buttons->addWidget(m_sign);
    buttons->addWidget(m_progress, 1);
    buttons->addStretch(1);
    buttons->addWidget(m_cancel);
    buttons->addWidget(m_add);
    auto* layout = new QVBoxLayout(this);
    layout->addWidget(m_title);
    layout->addWidget(m_state);
    auto* asking = new QHBoxLayout(m_ask);
    asking->setContentsMargins(0, 0, 0, 0);
    asking->addWidget(m_askText);
    asking->addLayout(m_askChoices);
    asking->addStretch(1);
    m_ask->setObjectName(QStringLiteral("importQuestion"));
    m_askText->setFont(Theme::font(1.05, true));
    m_ask->hide();
    layout->addWidget(m_ask);
    layout->addWidget(m_table, 2);
    auto* plots = new QHBoxLayout;
    plots->addWidget(m_plot, 1);
    plots->addWidget(m_amps, 1);
    layout->addLayout(plots, 3);
    layout->addLayout(buttons);
    connect(m_add, &QPushButton::clicked, this, &ImportSheet::add);
    connect(m_cancel, &QPushButton::clicked, this, &ImportSheet::cancel);
    connect(&bench.runImport(), &RunImport::progressed, this,
            [this](double share) { m_progress->setValue(static_cast<int>(100.0 * share)); });
    connect(&bench.runImport(), &RunImport::finished, this,
            [this](const record::RunHeader& /*run*/, bool stored) { added(stored); });

    connect(m_sign, &QCheckBox::toggled, this, [this](bool on) {
        m_preview.mapping.currentPositiveOnCharge = on;
        showCurve();
    });
    hide();
}

bool ImportSheet::open(const QString& path) {
    QFile file(path);
    if (!file.open(QIODevice::ReadOnly)) {
        emit refused(
            tr("%1 cannot be read (%2); check the name and the permissions").arg(path, file.errorString()));
        return false;
    }
    m_text = std::make_shared<const std::string>(file.readAll().toStdString());
    m_path = path;
    m_settings = {};
    if (m_bench.selection().build() != nullptr) {
        // What the cell can give tells millivolts from volts.
        const record::Expectation& expected = m_bench.selection().build()->build.expectation;
        m_settings.openCircuitVolts = expected.openCircuitVolts.value;
        m_settings.shortCircuitAmps = expected.shortCircuitAmps.value;
    }
    m_settings.zone = m_bench.services().zone.toStdString();
    if (!look()) {
        return false;
    }
    const auto known = formats::mappingFromText(m_bench.store().rememberedMapping(m_preview.signature));
    m_known = known && known->columns.size() == m_preview.mapping.columns.size();
    if (m_known) {
        m_preview.mapping = *known;
        m_question.reset();
    }
    m_title->setText(tr("Add %1 to %2")
                         .arg(QFileInfo(path).fileName(), m_bench.selection().build() != nullptr
                                                              ? q(m_bench.selection().build()->build.name)
                                                              : QString()));
    showRows();
    showQuestion();
    showCurve();
    show();
    raise();
    m_add->setFocus();
    return true;
}

/// Reads the file's beginning anew with what was answered; false when it cannot be read.
bool ImportSheet::look() {
    auto preview = formats::previewCsv(*m_text, m_settings);
    if (!preview) {
        emit refused(QFileInfo(m_path).fileName() + QStringLiteral(": ") +
                     q(wording::errorText(preview.error())));
        return false;
    }
    m_preview = std::move(*preview);
    const auto questions = m_preview.questions();
    m_question = questions.empty() ? std::nullopt : std::optional(questions.front());
    return true;
}

void ImportSheet::showQuestion() {
    const QSignalBlocker quiet(m_sign);
    m_sign->setChecked(m_preview.mapping.currentPositiveOnCharge);
    while (QLayoutItem* item = m_askChoices->takeAt(0)) {
        item->widget()->hide();
        item->widget()->deleteLater();
        delete item;
    }
    m_ask->setVisible(m_question.has_value());
    if (!m_question) {
        return;
    }
    m_askText->setText(q(wording::questionText(*m_question)) + QStringLiteral(":"));
    for (const formats::CsvAspect::Choice& choice : m_question->choices) {
        auto* button = new QPushButton(q(choice.value), m_ask);
        button->setObjectName(QStringLiteral("choice:") + q(choice.value));
        button->setAccessibleName(tr("It is %1").arg(q(choice.value)));
        connect(button, &QPushButton::clicked, this,
                [this, kind = m_question->kind, value = choice.value] { answer(kind, value); });
        m_askChoices->addWidget(button);
    }
}

void ImportSheet::answer(formats::CsvAspect::Kind kind, const std::string& choice) {
    if (choice == "counts") {
        emit refused(tr("Counts of a converter have no unit: turn them into volts first"));
        return;
    }
    formats::settle(m_settings, kind, choice);
    if (look()) {
        showRoles();
        showQuestion();
        showCurve();
    }
}

/// The curves that the two likeliest answers would make.
void ImportSheet::showChoices(const formats::CsvAspect& question) {
    std::vector<PlotCurve> curves;
    for (const formats::CsvAspect::Choice& choice : question.choices) {
        formats::CsvSettings settings = m_settings;
        formats::settle(settings, question.kind, choice.value);
        const auto preview =
            curves.size() < 2 ? formats::previewCsv(*m_text, settings) : tl::unexpected(formats::CsvError{});
        const auto run =
            preview ? formats::readCsv(*m_text, preview->mapping) : tl::unexpected(preview.error());
        if (run) {
            curves.push_back({q(choice.value),
                              run::thinned(run->samples.seconds, run->samples.volts, kBuckets),
                              curves.empty() ? m_theme.colours().ink : m_theme.colours().focus, false});
        }
    }
    m_plot->show(curves);
}

QComboBox* ImportSheet::roleBox(std::size_t column) {
    auto* box = new QComboBox(m_table);
    box->setObjectName(QStringLiteral("role:%1").arg(column));
    box->setAccessibleName(tr("What column %1 holds").arg(column + 1));
    for (const RoleChoice& choice : kRoleChoices) {
        box->addItem(tr(choice.text));
    }
    connect(box, &QComboBox::currentIndexChanged, this,
            [this, column](int index) { giveRole(column, static_cast<std::size_t>(index)); });
    return box;
}

/// What is said by hand is as good as an answer; the rest of the file is weighed anew.
void ImportSheet::giveRole(std::size_t column, std::size_t choice) {
    const RoleChoice& chosen = kRoleChoices[choice];
    const std::string number = std::to_string(column + 1);
    switch (chosen.role) {
    case formats::ColumnRole::Time:
        m_settings.time = number;
        m_settings.timeUnit = quantity::symbolFor(quantity::Dimension::Second, chosen.toSi);
        break;
    case formats::ColumnRole::Voltage:
        m_settings.voltage = number;
        m_settings.voltageUnit = quantity::symbolFor(quantity::Dimension::Volt, chosen.toSi);
        break;
    case formats::ColumnRole::Current:
        m_settings.current = number;
        m_settings.currentUnit = quantity::symbolFor(quantity::Dimension::Ampere, chosen.toSi);
        break;
    default:
        if (m_preview.mapping.columns[column].role == formats::ColumnRole::Current) {
            m_settings.current = "none";
        }
    }
    m_known = false;
    if (look()) {
        showRoles();
        showQuestion();
        showCurve();
    }
}

void ImportSheet::showRoles() {
    for (int c = 0; c < m_table->columnCount(); ++c) {
        auto* box = qobject_cast<QComboBox*>(m_table->cellWidget(0, c));
        const formats::ColumnMapping& mapping = m_preview.mapping.columns[static_cast<std::size_t>(c)];
        const QSignalBlocker quiet(box);
        for (std::size_t i = 0; i < std::size(kRoleChoices); ++i) {
            const RoleChoice& choice = kRoleChoices[i];
            if (choice.role == mapping.role &&
                (mapping.role == formats::ColumnRole::Ignored || choice.toSi == mapping.toSi)) {
                box->setCurrentIndex(static_cast<int>(i));
            }
        }
    }
}

void ImportSheet::showRows() {
    const auto columns = static_cast<int>(m_preview.columnNames.size());
    m_table->clear();
    m_table->setColumnCount(columns);
    m_table->setRowCount(static_cast<int>(m_preview.rows.size()) + 1);
    for (int c = 0; c < columns; ++c) {
        m_table->setHorizontalHeaderItem(
            c, new QTableWidgetItem(q(m_preview.columnNames[static_cast<std::size_t>(c)])));
        m_table->setCellWidget(0, c, roleBox(static_cast<std::size_t>(c)));
        for (int r = 0; r < static_cast<int>(m_preview.rows.size()); ++r) {
            const auto& row = m_preview.rows[static_cast<std::size_t>(r)];
            const QString text =
                static_cast<std::size_t>(c) < row.size() ? q(row[static_cast<std::size_t>(c)]) : QString();
            m_table->setItem(r + 1, c, new QTableWidgetItem(text));
        }
        m_table->setColumnWidth(c, static_cast<int>(Theme::em(9.0)));
    }
    showRoles();
    m_table->setRowHeight(0, static_cast<int>(Theme::em(2.2)));
}

void ImportSheet::showCurve() {
    m_reader.stop();
    m_progress->hide();
    if (m_text->size() > kLongFile) {
        readAside();
    } else {
        showRun(formats::readCsv(*m_text, m_preview.mapping));
    }
}

void ImportSheet::readAside() {
    m_run.reset();
    m_add->setEnabled(false);
    m_plot->show({});
    m_amps->hide();
    m_state->setText(tr("Reading %1 million characters…").arg(m_text->size() / 1'000'000));
    m_progress->setRange(0, 100);
    m_progress->setValue(0);
    m_progress->show();
    m_reader.begin([this, text = m_text, mapping = m_preview.mapping](const std::stop_token& stop,
                                                                      const Aside::Tell& tell) {
        const auto told = [&](double share) {
            tell([this, share] { m_progress->setValue(static_cast<int>(100.0 * share)); });
        };
        auto run = std::make_shared<tl::expected<formats::CsvRun, formats::CsvError>>(
            formats::readCsv(*text, mapping, told, stop));
        tell([this, run] {
            m_progress->hide();
            showRun(std::move(*run));
            m_add->setFocus();
        });
    });
}

void ImportSheet::showRun(tl::expected<formats::CsvRun, formats::CsvError> run) {
    m_add->setEnabled(run.has_value() && !m_question);
    if (!run) {
        m_run.reset();
        m_amps->hide();
        m_state->setText(q(wording::errorText(run.error())));
        m_plot->show({});
        return;
    }
    m_run = std::make_shared<const formats::CsvRun>(std::move(*run));
    const auto& samples = m_run->samples;
    QStringList state{tr("%1 readings over %2")
                          .arg(samples.size())
                          .arg(q(wording::durationText(samples.seconds.back() - samples.seconds.front())))};
    if (m_run->rowsSkipped > 0) {
        state << tr("%1 rows could not be read, the first on line %2")
                     .arg(m_run->rowsSkipped)
                     .arg(m_run->firstSkippedLine);
    }
    if (m_known) {
        state << tr("read as the last file with this header");
    }
    state << tr("time: %1").arg(q(wording::timeFormText(m_preview.mapping)));
    showCurrent();
    state << saidOfCurrent(samples);
    m_state->setText(listed(state));
    std::vector<PlotCurve> curves = {{tr("voltage"), run::thinned(samples.seconds, samples.volts, kBuckets),
                                      m_theme.colours().ink, false}};
    if (m_question) {
        showChoices(*m_question);
    } else {
        m_plot->show(curves);
    }
}

void ImportSheet::showCurrent() {
    const auto& samples = m_run->samples;
    const bool flows =
        std::any_of(samples.amps.begin(), samples.amps.end(), [](double amps) { return amps != 0.0; });
    m_amps->setVisible(flows);
    m_sign->setVisible(flows);
    if (flows) {
        m_amps->show({{tr("current drawn"), run::thinned(samples.seconds, samples.amps, kBuckets),
                       m_theme.colours().ink, false}});
    }
}

void ImportSheet::add() {
    if (!m_run) {
        return;
    }
    const record::Millis started = m_run->started.value_or(
        m_bench.services().now() - static_cast<record::Millis>(1000.0 * m_run->samples.seconds.back()));
    std::shared_ptr<const record::RunSamples> samples(m_run, &m_run->samples);
    m_progress->setRange(0, 100);
    m_progress->setValue(0);
    m_progress->show();
    m_add->setEnabled(false);
    m_adding = true;
    if (!m_bench.importRun(QFileInfo(m_path).completeBaseName(), started, std::move(samples))) {
        added(false);
    }
}

void ImportSheet::added(bool stored) {
    if (!m_adding) {
        return;
    }
    m_adding = false;
    m_progress->hide();
    m_add->setEnabled(m_run != nullptr);
    if (stored) {
        m_bench.store().rememberMapping(m_preview.signature, formats::mappingToText(m_preview.mapping));
        close();
    }
}

void ImportSheet::cancel() {
    if (m_adding) {
        m_bench.runImport().stop();
    } else {
        close();
    }
}

void ImportSheet::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Escape) {
        cancel();
    } else {
        QFrame::keyPressEvent(event);
    }
}

void ImportSheet::close() {
    m_reader.stop();
    m_run.reset();
    m_text = std::make_shared<const std::string>();
    hide();
    emit closed();
}

} // namespace anodex::app
