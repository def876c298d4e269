#include "app/frame/FindEntries.h"

#include "app/session/Deeds.h"
#include "app/session/Starters.h"
#include "app/theme/Words.h"
#include "wording/PartText.h"
#include "wording/handbook/Handbook.h"

namespace anodex::app {
namespace {

using Show = std::function<void(const QString& where)>;

// Where a thing that was found is seen.
const QString kDesign = QStringLiteral("couple");
const QString kMeasured = QStringLiteral("bench");
const QString kJudged = QStringLiteral("judge");
const QString kMaterials = kCatalogue + QStringLiteral("materials/");
const QString kSubstances = kCatalogue + QStringLiteral("substances/");

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

QString kindOf(bool aside, const QString& kind) {
    return aside ? tr("set aside: brings it back") : kind;
}

QString of(const QString& part, const QString& whole) {
    return tr("%1, %2").arg(part, whole);
}

void addRevisions(Workbench& bench, std::vector<FindEntry>& entries) {
    for (const record::Revision& revision : bench.contents().revisions) {
        entries.push_back({q(revision.name), kindOf(revision.setAside, tr("revision")),
                           [&bench, id = revision.id, aside = revision.setAside] {
                               if (aside) {
                                   setRevisionAside(bench, id, false);
                               }
                               bench.selectRevision(id);
                           }});
    }
}

void addBuilds(Workbench& bench, const Show& show, std::vector<FindEntry>& entries) {
    for (const BuildSummary& summary : bench.contents().builds) {
        const record::Revision* owner = bench.contents().revision(summary.build.revision);
        entries.push_back({of(q(summary.build.name), owner != nullptr ? q(owner->name) : QString()),
                           kindOf(summary.build.setAside, tr("build")),
                           [&bench, show, id = summary.build.id, aside = summary.build.setAside] {
                               if (aside) {
                                   setBuildAside(bench, id, false);
                               }
                               bench.selectBuild(id);
                               show(kMeasured);
                           }});
        for (const record::RunHeader& run : summary.allRuns) {
            entries.push_back({of(q(run.name), q(summary.build.name)), kindOf(run.setAside, tr("run")),
                               [&bench, show, run] {
                                   if (run.setAside) {
                                       setRunAside(bench, run, false);
                                   }
                                   bench.selectBuild(run.build);
                                   show(kJudged);
                               }});
        }
    }
}

/// What is in no notebook: starters, materials, pages.
void addGiven(Workbench& bench, const Show& show, std::vector<FindEntry>& entries) {
    for (const Starter& starter : starters()) {
        entries.push_back({q(starter.design.name), tr("starter: begins a design"), [&bench, show, starter] {
                               bench.startDesign(starter.design);
                               show(kDesign);
                           }});
    }
    for (const chemistry::Material& material : bench.catalogue().materials) {
        entries.push_back(
            {q(material.name), tr("material"), [show, id = q(material.id)] { show(kMaterials + id); }});
    }
    for (const wording::HandbookPage& page : wording::handbookPages()) {
        entries.push_back({q(page.title), tr("handbook: %1").arg(q(page.chapter)),
                           [show, place = kHandbook + q(page.id)] { show(place); }});
    }
}

} // namespace

std::vector<FindEntry> findEntries(Workbench& bench, const std::vector<ViewEntry>& views,
                                   const std::vector<Deed>& deeds, const Show& show) {
    std::vector<FindEntry> entries;
    entries.reserve(views.size() + deeds.size());
    for (const ViewEntry& view : views) {
        entries.push_back({view.title, view.hint, [show, id = QString::fromLatin1(view.id)] { show(id); }});
    }
    for (const Deed& deed : deeds) {
        const bool isView = std::any_of(views.begin(), views.end(), [&](const ViewEntry& view) {
            return deed.id == QLatin1String(view.id);
        });
        if (!isView) {
            entries.push_back({QString(deed.words).remove(QStringLiteral("…")), tr("action"), deed.go});
        }
    }
    addRevisions(bench, entries);
    addBuilds(bench, show, entries);
    for (const record::Reading& reading : bench.selection().readings()) {
        entries.push_back({q(wording::readingSentence(reading)), tr("reading"), [show] { show(kMeasured); }});
    }
    for (const record::Event& event : bench.selection().events()) {
        entries.push_back({q(event.text), tr("note"), [show] { show(kMeasured); }});
    }
    for (const chemistry::Substance& substance : bench.catalogue().substances) {
        entries.push_back({q(substance.name) + QStringLiteral("  ") + q(substance.formulaText),
                           tr("substance"), [show, id = q(substance.id)] { show(kSubstances + id); }});
    }
    addGiven(bench, show, entries);
    return entries;
}

} // namespace anodex::app
