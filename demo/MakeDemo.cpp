// demo/MakeDemo.cpp - writes the demo notebook: an allotment keeper's gravity jar in three revisions. All
// invented.
//
// Deterministic: fixed seed, fixed dates, ids made from names. Readings and runs come from the model itself.
#include "core/base/Random.h"
#include "core/cell/Doubt.h"
#include "core/design/Resolve.h"
#include "core/record/Expect.h"
#include "demo/Discharge.h"
#include "formats/CellFile.h"
#include "formats/EmbeddedData.h"
#include "formats/ShelfFile.h"
#include "formats/catalogue/CatalogueReader.h"
#include "notebook/Notebook.h"
#include "wording/ErrorText.h"
#include "wording/PartText.h"

#include <cmath>
#include <cstdio>
#include <cstdlib>
#include <fmt/format.h>

namespace {

using namespace anodex;

constexpr record::Millis kHour = 3'600'000;
constexpr record::Millis kDay = 24 * kHour;
constexpr record::Millis kStart = 1'772'438'400'000; // 2026-03-02 08:00 UTC

[[noreturn]] void stop(const std::string& why) {
    std::fprintf(stderr, "make-demo: %s\n", why.c_str());
    std::exit(3);
}

record::Id idFor(const std::string& name) {
    const std::uint64_t high = base::addressOf(name);
    const std::uint64_t low = base::addressOf(name, high);
    return fmt::format("{:08x}-{:04x}-4{:03x}-8{:03x}-{:012x}", high >> 32U, (high >> 16U) & 0xFFFFU,
                       high & 0xFFFU, (low >> 52U) & 0xFFFU, low & 0xFFFFFFFFFFFFULL);
}

class DemoWriter {
public:
    DemoWriter(const chemistry::Catalogue& catalogue, notebook::Notebook& book)
        : m_catalogue(catalogue), m_book(book) {}

    void write() {
        m_project = {idFor("project"), "Allotment power", kStart - kDay};
        commit({"command.new-project", {{"name", m_project.name}}}, {m_project});
        fillShelf();
        design::CellDesign design =
            *formats::readCellFile(formats::embeddedFile("starters/gravity.cell.json"));
        design.name = "Rain gauge jar";
        design.temperatureKelvin = 285.15;
        design.gapMetres = 0.12;
        design.negative.wettedAreaM2 = 0.004;
        design.positive.wettedAreaM2 = 0.004;
        design.liquid.solutes.front().amount.value = 0.006;
        const record::Revision first = revision("Rain gauge jar 1", {}, design, 0);
        const record::Id firstBuild = build(first, "build 1", 0);
        read(firstBuild, first.design, 2 * kHour, -0.004, 0.97, "first light");
        run(firstBuild, first.design, "22 ohm overnight", 3 * kHour,
            {22.0, 30.0, 0.25, 900, 0.002, 0.0, 0.0, 11});
        event(firstBuild, 34 * kHour, "beacon too dim, layers still sharp", false);

        design.gapMetres = 0.06;
        const record::Revision second = revision("Rain gauge jar 2", first.id, design, 4 * kDay);
        const record::Id secondBuild = build(second, "build 1", 4 * kDay);
        read(secondBuild, second.design, 4 * kDay + 2 * kHour, 0.002, 1.03, "");
        run(secondBuild, second.design, "22 ohm overnight", 4 * kDay + 3 * kHour,
            {22.0, 30.0, 0.25, 900, 0.002, 0.0, 0.0, 12});
        const record::Id carried = build(second, "build 2", 8 * kDay);
        event(carried, 8 * kDay + kHour, "carried the jar across the plot, layers mixed", true);
        read(carried, second.design, 8 * kDay + 2 * kHour, -0.055, 0.61, "zinc turned dark");
        run(carried, second.design, "22 ohm after mixing", 8 * kDay + 3 * kHour,
            {22.0, 30.0, 0.25, 900, 0.004, 9.0, 0.9, 13});

        design.liquid.solutes.front().amount.value = 0.040;
        const record::Revision third = revision("Rain gauge jar 3", second.id, design, 12 * kDay);
        const record::Id thirdBuild = build(third, "build 1", 12 * kDay);
        read(thirdBuild, third.design, 12 * kDay + 2 * kHour, -0.001, 0.98, "clear and still");
        run(thirdBuild, third.design, "22 ohm overnight", 12 * kDay + 3 * kHour,
            {22.0, 30.0, 0.25, 900, 0.002, 0.0, 0.0, 14});
        event(thirdBuild, 12 * kDay + 34 * kHour, "beacon bright all night", false);
    }

private:
    /// What stands in the shed.
    void fillShelf() {
        shelf::Shelf owned;
        owned.materials = {{"zinc", 0.006, {}, 3.0},
                           {"copper", 0.006, {}, 4.0},
                           {"aluminium foil", 0.01, {}, 0.2},
                           {"galvanised screw", 0.0008, {}, 0.1},
                           {"steel nail", 0.001, {}, 0.1},
                           {"graphite rod", 0.002, {}, 2.0},
                           {"activated carbon", 0.005, {}, 1.0},
                           {"lead", 0.005, {}, 2.5}};
        owned.substances = {{"NaCl", 0.5, 0.6},
                            {"copper sulfate pentahydrate", 0.25, 3.5},
                            {"zinc sulfate heptahydrate", 0.25, 4.0},
                            {"NaHCO3", 0.5, 1.2}};
        owned.liquids = {{"vinegar", 5e-4, 0.8}, {"lemon juice", 2e-4, 1.5}};
        owned.separators = {{"kitchen paper", 0.05}, {"porous pot", 4.0}};
        owned.cases = {{"glass", 0.5}, {"HDPE", 0.3}};
        commit({"command.shelf-from", {{"file", std::string("shed.shelf.json")}}},
               {record::Document{idFor("shelf"), record::DocumentKind::Shelf, "shelf",
                                 formats::writeShelfFile(owned), false}});
    }

    void commit(const base::Said& said, const std::vector<notebook::Change>& changes) {
        if (const auto done = m_book.commit(said, m_now, changes); !done) {
            stop(wording::errorText(done.error()));
        }
    }

    record::Revision revision(const std::string& name, const record::Id& parent,
                              const design::CellDesign& design, record::Millis after) {
        m_now = kStart + after;
        record::Revision made{idFor(name), m_project.id, parent, name, design, m_now, false};
        commit({"command.begin", {{"name", name}}}, {made});
        return made;
    }

    record::Id build(const record::Revision& revision, const std::string& name, record::Millis after) {
        m_now = kStart + after + kHour;
        const design::Cell cell = *design::resolve(m_catalogue, revision.design);
        const cell::Evaluation e = cell::evaluate(m_catalogue, cell);
        const cell::Doubt doubt = *cell::estimateDoubt(m_catalogue, cell, e);
        record::Build made;
        made.id = idFor(revision.name + name);
        made.revision = revision.id;
        made.name = name;
        made.built = m_now;
        made.asBuilt = revision.design;
        made.expectation = record::expectationOf(m_catalogue.version, e, doubt);
        commit({"command.write-down", {{"build", name}, {"design", revision.name}}}, {made});
        return made.id;
    }

    void read(const record::Id& build, const design::CellDesign& design, record::Millis after,
              double voltsOff, double ampsFactor, const std::string& note) {
        m_now = kStart + after;
        const cell::Evaluation e = cell::evaluate(m_catalogue, *design::resolve(m_catalogue, design), {0});
        record::Reading volts;
        volts.id = idFor(build + "volts");
        volts.build = build;
        volts.value = std::round((e.openCircuitVolts + voltsOff) * 1000.0) / 1000.0;
        volts.when = m_now;
        volts.note = note;
        commit(noted(volts), {volts});
        record::Reading amps = volts;
        amps.id = idFor(build + "amps");
        amps.quantity = record::ReadingQuantity::ShortCircuitCurrent;
        amps.value = std::round(e.first.shortCircuitAmps * ampsFactor * 1e4) / 1e4;
        amps.when = m_now + 300'000;
        amps.note.clear();
        commit(noted(amps), {amps});
    }

    static base::Said noted(const record::Reading& reading) {
        return {"command.noted", {{"what", std::vector{wording::readingSaid(reading)}}}};
    }

    void event(const record::Id& build, record::Millis after, const std::string& text, bool changes) {
        m_now = kStart + after;
        commit({"command.noted-event", {{"text", text}}},
               {record::Event{idFor(build + text), build, m_now, text, changes}});
    }

    void run(const record::Id& build, const design::CellDesign& design, const std::string& name,
             record::Millis after, const demo::DischargePlan& plan) {
        m_now = kStart + after;
        record::RunHeader header{idFor(build + name), build, name, m_now, 0, 0.0, false};
        const auto samples = demo::discharge(m_catalogue, design, plan);
        if (const auto done = m_book.importRun({"command.import", {{"name", name}}}, m_now, header, samples);
            !done) {
            stop(wording::errorText(done.error()));
        }
    }

    const chemistry::Catalogue& m_catalogue;
    notebook::Notebook& m_book;
    record::Project m_project;
    record::Millis m_now = kStart - kDay;
};

} // namespace

int main(int argc, char** argv) {
    if (argc != 2) {
        stop("one argument is needed: the notebook to write");
    }
    const auto catalogue = formats::readCatalogue(formats::builtInCatalogueFiles());
    if (!catalogue) {
        stop(wording::errorText(catalogue.error()));
    }
    auto book = notebook::Notebook::open(argv[1], notebook::OpenMode::Create, "make-demo");
    if (!book) {
        stop(wording::errorText(book.error()));
    }
    DemoWriter(*catalogue, *book).write();
    return 0;
}
