#include "app/views/judge/JudgeView.h"

#include "app/views/ViewList.h"
#include "app/views/judge/Ledger.h"
#include "app/widgets/CurvePlot.h"
#include "wording/JudgeText.h"
#include "wording/PartText.h"

#include <QLabel>
#include <QPushButton>
#include <QScrollArea>
#include <QStackedWidget>
#include <QVBoxLayout>

namespace anodex::app {

JudgeView::JudgeView(Workbench& bench, const Theme& theme, QWidget* parent)
    : View(parent), m_bench(bench), m_theme(theme), m_stack(new QStackedWidget(this)),
      m_sentence(new QLabel(this)),
      m_plot(new CurvePlot(theme, tr("Voltage of the runs over the charge delivered"), this)),
      m_ledger(new Ledger(bench, theme, this)) {
    setObjectName(QStringLiteral("judgeView"));
    m_sentence->setObjectName(QStringLiteral("judgeSentence"));
    m_sentence->setWordWrap(true);
    m_sentence->setFont(Theme::font(1.35));
    m_sentence->setTextInteractionFlags(Qt::TextSelectableByMouse);
    auto* empty = new QWidget(this);
    auto* emptyLayout = new QVBoxLayout(empty);
    auto* words = new QLabel(tr("There is no build to judge yet."), empty);
    words->setFont(Theme::font(1.15));
    words->setAlignment(Qt::AlignCenter);
    auto* button = new QPushButton(tr("Write down a build"), empty);
    button->setObjectName(QStringLiteral("judgeWriteDown"));
    connect(button, &QPushButton::clicked, &m_bench, &Workbench::writeDownBuild);
    emptyLayout->addStretch(1);
    emptyLayout->addWidget(words);
    emptyLayout->addWidget(button, 0, Qt::AlignHCenter);
    emptyLayout->addStretch(2);
    auto* page = new QWidget(this);
    auto* pageLayout = new QVBoxLayout(page);
    pageLayout->setContentsMargins(0, 0, 0, 0);
    pageLayout->addWidget(m_sentence);
    pageLayout->addWidget(m_plot, 5);
    pageLayout->addWidget(m_ledger, 4);
    m_stack->addWidget(empty);
    // With a large font the sentence, the curve and the ledger do not fit at once.
    auto* scroll = new QScrollArea(this);
    scroll->setWidget(page);
    scroll->setWidgetResizable(true);
    scroll->setFocusPolicy(Qt::NoFocus);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    m_plot->setMinimumHeight(static_cast<int>(Theme::em(11.0)));
    m_stack->addWidget(scroll);
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->addWidget(m_stack);
    connect(m_ledger, &Ledger::explanationAsked, this, &JudgeView::explanationAsked);
    connect(m_ledger, &Ledger::numberAsked, this, &View::numberAsked);
    onChange(bench, this, kContent & ~Parts(Part::Documents), &JudgeView::refresh);
    onChange(bench, m_ledger, Part::Design, &Ledger::rebuild);
    connect(&theme, &Theme::changed, this, &JudgeView::refresh);
    refresh();
}

void JudgeView::refresh() {
    m_stack->setCurrentIndex(m_bench.selection().build() == nullptr ? 0 : 1);
    if (m_bench.selection().build() != nullptr) {
        refreshSentence();
        refreshCurves();
        m_ledger->rebuild();
    }
}

void JudgeView::refreshSentence() {
    const BuildSummary& build = *m_bench.selection().build();
    wording::JudgeInput input;
    input.expectation = build.build.expectation;
    input.openCircuit = build.openCircuit;
    input.shortCircuit = build.shortCircuit;
    if (const run::RunAnalysis* run = build.mainRun(); run != nullptr) {
        input.run = *run;
    }
    const QString waiting = build.readingRuns ? tr("\nA long run is still being read.") : QString();
    m_sentence->setText(QString::fromStdString(wording::judgeSentence(input)) + waiting);
}

void JudgeView::refreshCurves() {
    std::vector<PlotCurve> curves;
    constexpr double kCoulombsPerMilliampereHour = 3.6;
    constexpr double kManyCoulombs = 2000.0 * kCoulombsPerMilliampereHour;
    const bool large = m_bench.selection().build()->deliveredCoulombs().value_or(0.0) > kManyCoulombs;
    const double unit = large ? 1000.0 * kCoulombsPerMilliampereHour : kCoulombsPerMilliampereHour;
    m_plot->setAxes(large ? tr("charge delivered, Ah") : tr("charge delivered, mAh"), tr("voltage, V"));
    const auto curveOf = [&](const BuildSummary& build, const QString& name, const QColor& colour,
                             bool dashed) {
        for (const auto& [id, digest] : build.digests) {
            std::vector<run::CurveSample> points = digest->voltsOverCoulombs;
            for (run::CurveSample& point : points) {
                point.x /= unit;
            }
            curves.push_back({name, std::move(points), colour, dashed});
        }
    };
    curveOf(*m_bench.selection().build(), QString::fromStdString(m_bench.selection().build()->build.name),
            m_theme.colours().ink, false);
    // The parent's last build, to see whether the change helped.
    if (const record::Revision* at = m_bench.selection().revision(); at != nullptr && !at->parent.empty()) {
        const auto before = m_bench.contents().buildsOf(at->parent);
        if (!before.empty()) {
            curveOf(*before.back(), tr("before the change"), m_theme.colours().faint, true);
        }
    }
    const base::Interval& range = m_bench.selection().build()->build.expectation.openCircuitVolts.range;
    m_plot->show(curves, {}, PlotBand{range.low, range.high, tr("expected open circuit")});
}

ViewEntry judgeEntry() {
    return {"judge",
            JudgeView::tr("Judge"),
            JudgeView::tr("was it as expected?"),
            7,
            {},
            ViewEntry::Needs::Design,
            true,
            [](Workbench& bench, const Theme& theme, QWidget* parent) -> View* {
                return new JudgeView(bench, theme, parent);
            }};
}

} // namespace anodex::app
