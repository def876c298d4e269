#include "app/views/catalogue/EntrySheet.h"

#include "app/session/Starters.h"
#include "app/views/handbook/PageText.h"
#include "app/widgets/CurvePlot.h"
#include "core/explain/EntryCurves.h"
#include "wording/catalogue/EntryPage.h"

#include <QFontMetrics>
#include <QHBoxLayout>
#include <QIcon>
#include <QTextBrowser>
#include <QTextCursor>
#include <QTextDocument>
#include <QUrl>
#include <QVBoxLayout>
#include <algorithm>
#include <optional>

namespace anodex::app {
namespace {

using explain::CurveOf;

QString nameOf(CurveOf curve) {
    switch (curve) {
    case CurveOf::Density:
        return EntrySheet::tr("density, kg/m³");
    case CurveOf::Conductivity:
        return EntrySheet::tr("conductivity, S/m");
    case CurveOf::SolventActivity:
        return EntrySheet::tr("activity of the water");
    case CurveOf::Potential:
        return EntrySheet::tr("potential, V");
    }
    return {};
}

std::vector<run::CurveSample> samplesOf(const base::Table& table) {
    std::vector<run::CurveSample> samples;
    for (const base::TablePoint& point : table) {
        samples.push_back({point.x, point.y});
    }
    return samples;
}

/// The picture that "pictogram:ID" names.
QVariant pictogram(const QUrl& url) {
    if (url.scheme() != QStringLiteral("pictogram")) {
        return {};
    }
    const int side = qRound(3.2 * QFontMetrics(Theme::font(1.0)).height());
    return QIcon(QStringLiteral(":/icons/hazard-%1.svg").arg(url.path())).pixmap(side, side);
}

/// The name of a picture stands beside its middle.
void centrePictures(QTextDocument& page) {
    QTextCursor cursor(&page);
    while (!(cursor = page.find(QString(QChar::ObjectReplacementCharacter), cursor)).isNull()) {
        QTextCharFormat middle;
        middle.setVerticalAlignment(QTextCharFormat::AlignMiddle);
        cursor.mergeCharFormat(middle);
    }
}

template <typename Entries>
std::optional<std::size_t> indexOf(const Entries& entries, const std::string& id) {
    const auto found =
        std::find_if(entries.begin(), entries.end(), [&](const auto& entry) { return entry.id == id; });
    return found == entries.end() ? std::nullopt
                                  : std::optional(static_cast<std::size_t>(found - entries.begin()));
}

} // namespace

EntrySheet::EntrySheet(Workbench& bench, const Theme& theme, QWidget* parent)
    : QWidget(parent), m_bench(bench), m_theme(theme), m_curves(new QWidget(this)),
      m_page(new QTextBrowser(this)) {
    setObjectName(QStringLiteral("entrySheet"));
    m_page->setObjectName(QStringLiteral("cataloguePage"));
    m_page->setAccessibleName(tr("Page"));
    m_page->setOpenLinks(false);
    m_page->document()->setResourceProvider(pictogram);
    auto* row = new QHBoxLayout(m_curves);
    row->setContentsMargins(0, 0, 0, 0);
    for (CurvePlot*& plot : m_plots) {
        plot = new CurvePlot(theme, tr("Curve"), m_curves);
        row->addWidget(plot, 1);
    }
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->addWidget(m_page, 3);
    layout->addWidget(m_curves, 2);
    connect(m_page, &QTextBrowser::anchorClicked, this,
            [this](const QUrl& url) { emit linkFollowed(url.toString()); });
}

void EntrySheet::show(const std::string& list, const formats::CatalogueEntry& entry) {
    const chemistry::Catalogue& catalogue = m_bench.catalogue();
    m_page->setMarkdown(QString::fromStdString(
        wording::entryPage(catalogue, list, entry, startersWith(catalogue, entry.id))));
    dressPage(*m_page->document(), m_theme.colours());
    centrePictures(*m_page->document());
    plotCurves(list, entry.id);
}

void EntrySheet::clear() {
    m_page->clear();
    m_curves->hide();
}

void EntrySheet::plotCurves(const std::string& list, const std::string& id) {
    const chemistry::Catalogue& catalogue = m_bench.catalogue();
    std::vector<explain::EntryCurve> curves;
    if (list == "substances") {
        if (const auto index = indexOf(catalogue.substances, id)) {
            curves = explain::curvesOfSubstance(catalogue, *index);
        }
    } else if (list == "reactions") {
        if (const auto index = indexOf(catalogue.reactions, id)) {
            curves = explain::curvesOfReaction(catalogue, *index);
        }
    }
    m_curves->setVisible(!curves.empty());
    for (std::size_t i = 0; i < m_plots.size(); ++i) {
        m_plots[i]->setVisible(i < curves.size());
        if (i >= curves.size()) {
            continue;
        }
        const Colours& c = m_theme.colours();
        std::vector<PlotCurve> shown{{tr("computed"), samplesOf(curves[i].computed), c.ink}};
        if (!curves[i].given.empty()) {
            shown.push_back({tr("sources"), samplesOf(curves[i].given), c.focus, false, true});
        }
        m_plots[i]->setAxes(curves[i].of == CurveOf::Potential ? tr("pH") : tr("% by mass"),
                            nameOf(curves[i].of));
        m_plots[i]->setAccessibleName(nameOf(curves[i].of));
        m_plots[i]->show(shown);
    }
}

} // namespace anodex::app
