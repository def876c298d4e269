#include "app/views/compare/CompareView.h"

#include "app/views/ViewList.h"
#include "app/views/compare/CompareSheet.h"
#include "app/widgets/CurvePlot.h"
#include "app/widgets/RowList.h"
#include "app/widgets/picture/PictureScroll.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QShortcut>
#include <QStackedWidget>
#include <QVBoxLayout>
#include <algorithm>

namespace anodex::app {
namespace {

constexpr std::size_t kMost = 4; // more columns are no longer read

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

} // namespace

CompareView::CompareView(Workbench& bench, const Theme& theme, QWidget* parent)
    : VisitedView(parent), m_bench(bench), m_theme(theme), m_list(new RowList(this)), m_few(new QLabel(this)),
      m_stack(new QStackedWidget(this)), m_sheet(new CompareSheet(theme, this)),
      m_plot(new CurvePlot(theme, tr("Expected voltage over current, of each version"), this)) {
    setObjectName(QStringLiteral("compareView"));
    m_list->setObjectName(QStringLiteral("compareList"));
    m_list->setAccessibleName(tr("Builds and designs to compare"));
    m_list->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    m_few->setText(
        tr("Tick two or more at the left: a build with what was measured on it, or a design that was not "
           "built yet."));
    m_few->setWordWrap(true);
    m_few->setAlignment(Qt::AlignCenter);
    layOut();
    connect(m_list, &QListWidget::itemClicked, this, &CompareView::toggle);
    for (const Qt::Key key : {Qt::Key_Return, Qt::Key_Enter, Qt::Key_Space}) {
        auto* press = new QShortcut(key, m_list);
        press->setContext(Qt::WidgetShortcut);
        connect(press, &QShortcut::activated, this, [this] { toggle(m_list->currentItem()); });
    }
    onChange(bench, this, kContent, &CompareView::refresh);
    connect(&theme, &Theme::changed, this, &CompareView::refresh);
}

void CompareView::layOut() {
    auto* page = new QWidget(this);
    auto* reading = new QVBoxLayout(page);
    reading->setContentsMargins(0, 0, 0, 0);
    auto* scroll = new PictureScroll(m_sheet, this);
    reading->addWidget(scroll, 5);
    m_plot->setMinimumHeight(static_cast<int>(Theme::em(10.0)));
    reading->addWidget(m_plot, 4);
    m_stack->addWidget(m_few);
    m_stack->addWidget(page);
    auto* layout = new QHBoxLayout(this);
    layout->addWidget(m_list);
    layout->addWidget(m_stack, 1);
}

QString CompareView::atHand() const {
    if (const BuildSummary* build = m_bench.selection().build()) {
        return QStringLiteral("build:") + q(build->build.id);
    }
    const record::Revision* revision = m_bench.selection().revision();
    return revision != nullptr ? QStringLiteral("rev:") + q(revision->id) : QString();
}

void CompareView::arrive() {
    const std::vector<QString> ids = comparable(m_bench.contents());
    const auto at = std::find(ids.begin(), ids.end(), atHand());
    const bool amongChosen =
        at != ids.end() && std::find(m_chosen.begin(), m_chosen.end(), *at) != m_chosen.end();
    if (at != ids.end() && !amongChosen) {
        m_chosen.clear();
        // With what came before it; the first one with what came after.
        const auto other = at != ids.begin() ? at - 1 : at + 1;
        if (other != ids.end()) {
            m_chosen = {std::min(at, other)[0], std::max(at, other)[0]};
        } else {
            m_chosen = {*at};
        }
    }
    refresh();
    m_list->setFocus();
}

void CompareView::toggle(QListWidgetItem* row) {
    if (row == nullptr) {
        return;
    }
    const QString id = row->data(Qt::UserRole).toString();
    const auto found = std::find(m_chosen.begin(), m_chosen.end(), id);
    if (found != m_chosen.end()) {
        m_chosen.erase(found);
    } else if (m_chosen.size() == kMost) {
        emit refused(tr("%n version(s) side by side are the most that can be read; take one out first",
                        nullptr, static_cast<int>(kMost)));
        return;
    } else {
        m_chosen.push_back(id);
    }
    refresh();
}

void CompareView::refresh() {
    if (!isVisible()) {
        return; // arriving shows it anew
    }
    const std::vector<QString> ids = comparable(m_bench.contents());
    std::vector<QString> left;
    std::copy_if(ids.begin(), ids.end(), std::back_inserter(left), [this](const QString& id) {
        return std::find(m_chosen.begin(), m_chosen.end(), id) != m_chosen.end();
    });
    m_chosen = std::move(left);
    fillList(ids);
    m_versions.clear();
    for (const QString& id : m_chosen) {
        if (auto version = comparedOf(m_bench, id)) {
            m_versions.push_back(std::move(*version));
        }
    }
    m_stack->setCurrentIndex(m_versions.size() < 2 ? 0 : 1);
    m_sheet->show(m_versions);
    drawCurves();
}

void CompareView::fillList(const std::vector<QString>& ids) {
    const int current = std::max(0, m_list->currentRow());
    m_list->clear();
    for (const QString& id : ids) {
        auto* row = new QListWidgetItem(comparedName(m_bench.contents(), id), m_list);
        row->setData(Qt::UserRole, id);
        row->setToolTip(row->text());
        row->setFlags(Qt::ItemIsEnabled | Qt::ItemIsSelectable);
        const bool chosen = std::find(m_chosen.begin(), m_chosen.end(), id) != m_chosen.end();
        row->setCheckState(chosen ? Qt::Checked : Qt::Unchecked);
    }
    m_list->setCurrentRow(std::min(current, m_list->count() - 1));
}

void CompareView::drawCurves() {
    double most = 0.0;
    for (const Compared& version : m_versions) {
        for (const cell::CurvePoint& point : version.curve) {
            most = std::max(most, point.amps);
        }
    }
    const bool small = most < 1.0;
    m_plot->setAxes(small ? tr("current, mA") : tr("current, A"), tr("voltage, V"));
    std::vector<PlotCurve> curves;
    for (std::size_t i = 0; i < m_versions.size(); ++i) {
        PlotCurve curve;
        curve.name = m_versions[i].name;
        curve.colour = m_sheet->colourOf(i);
        curve.dashed = i % 2 == 1;
        for (const cell::CurvePoint& point : m_versions[i].curve) {
            curve.points.push_back({small ? 1e3 * point.amps : point.amps, point.volts});
        }
        curves.push_back(std::move(curve));
    }
    m_plot->show(curves);
}

void CompareView::resizeEvent(QResizeEvent* event) {
    View::resizeEvent(event);
    m_list->setFixedWidth(std::min(static_cast<int>(Theme::em(14.0)), width() * 24 / 100));
}

ViewEntry compareEntry() {
    return {"compare",
            CompareView::tr("Compare versions"),
            CompareView::tr("what differs, and what it did"),
            0,
            QKeySequence(Qt::CTRL | Qt::Key_E),
            ViewEntry::Needs::Design,
            false,
            [](Workbench& bench, const Theme& theme, QWidget* parent) -> View* {
                return new CompareView(bench, theme, parent);
            }};
}

} // namespace anodex::app
