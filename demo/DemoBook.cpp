#include "demo/DemoBook.h"

#include "core/base/Random.h"
#include "core/cell/Doubt.h"
#include "core/design/Resolve.h"
#include "core/record/Expect.h"
#include "formats/CellFile.h"
#include "formats/EmbeddedData.h"
#include "formats/ShelfFile.h"
#include "wording/ErrorText.h"
#include "wording/PartText.h"

#include <cmath>
#include <cstdio>
#include <cstdlib>
#include <fmt/format.h>

namespace anodex::demo {
namespace {

record::Id idFor(const std::string& name) {
    const std::uint64_t high = base::addressOf(name);
    const std::uint64_t low = base::addressOf(name, high);
    return fmt::format("{:08x}-{:04x}-4{:03x}-8{:03x}-{:012x}", high >> 32U, (high >> 16U) & 0xFFFFU,
                       high & 0xFFFU, (low >> 52U) & 0xFFFU, low & 0xFFFFFFFFFFFFULL);
}

base::Said noted(const record::Reading& reading) {
    return {"command.noted", {{"what", std::vector{wording::readingSaid(reading)}}}};
}

record::Reading reading(const record::Id& build, const char* which, record::ReadingQuantity quantity,
                        double value, record::Millis when) {
    record::Reading made;
    made.id = idFor(build + which);
    made.build = build;
    made.quantity = quantity;
    made.value = value;
    made.when = when;
    return made;
}

} // namespace

void stop(const std::string& why) {
    std::fprintf(stderr, "make-demo: %s\n", why.c_str());
    std::exit(3);
}

DemoBook::DemoBook(const chemistry::Catalogue& catalogue, notebook::Notebook& book)
    : m_catalogue(catalogue),
      m_book(book), m_project{idFor("project"), "Allotment power", kSpring - 111 * kDay},
      m_now(m_project.created) {
    commit({"command.new-project", {{"name", m_project.name}}}, {m_project});
}

design::CellDesign DemoBook::starter(const std::string& id) {
    const auto design = formats::readCellFile(formats::embeddedFile("starters/" + id + ".cell.json"));
    return design ? *design : (stop("no starter " + id), design::CellDesign());
}

void DemoBook::fillShelf() {
    shelf::Shelf owned;
    owned.materials = {{"zinc", 0.006, {}, 3.0},
                       {"copper", 0.006, {}, 4.0},
                       {"aluminium foil", 0.01, {}, 0.2},
                       {"galvanised screw", 0.0008, {}, 0.1},
                       {"steel nail", 0.001, {}, 0.1},
                       {"graphite rod", 0.002, {}, 2.0},
                       {"activated carbon", 0.005, {}, 1.0},
                       {"lead", 0.005, {}, 2.5}};
    owned.substances = {{"table salt", 0.5, 0.6},
                        {"copper sulfate pentahydrate", 0.25, 3.5},
                        {"zinc sulfate heptahydrate", 0.25, 4.0},
                        {"baking soda", 0.5, 1.2}};
    owned.liquids = {{"vinegar", 5e-4, 0.8}, {"lemon juice", 2e-4, 1.5}};
    owned.separators = {{"kitchen paper", 0.05}, {"porous pot", 4.0}};
    owned.cases = {{"glass", 0.5}, {"HDPE", 0.3}};
    commit({"command.shelf-from", {{"file", std::string("shed.shelf.json")}}},
           {record::Document{idFor("shelf"), record::DocumentKind::Shelf, "shelf",
                             formats::writeShelfFile(owned), false}});
}

void DemoBook::commit(const base::Said& said, const std::vector<notebook::Change>& changes) {
    if (const auto done = m_book.commit(said, m_now, changes); !done) {
        stop(wording::errorText(done.error()));
    }
}

record::Revision DemoBook::revision(const std::string& name, const record::Id& parent,
                                    const design::CellDesign& design, record::Millis at) {
    m_now = at;
    record::Revision made{idFor(name), m_project.id, parent, name, design, m_now, false};
    commit({"command.begin", {{"name", name}}}, {made});
    return made;
}

record::Id DemoBook::build(const record::Revision& revision, const std::string& name, record::Millis at) {
    m_now = at + kHour;
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

void DemoBook::read(const record::Id& build, const design::CellDesign& design, record::Millis at,
                    double voltsOff, double ampsFactor, const std::string& note) {
    constexpr double kVoltSteps = 1e3;
    m_now = at;
    const cell::Evaluation e = cell::evaluate(m_catalogue, *design::resolve(m_catalogue, design), {0});
    record::Reading volts =
        reading(build, "volts", record::ReadingQuantity::OpenCircuitVoltage,
                std::round((e.openCircuitVolts + voltsOff) * kVoltSteps) / kVoltSteps, m_now);
    volts.note = note;
    commit(noted(volts), {volts});
    const double shorted = e.first.shortCircuitAmps * ampsFactor;
    constexpr double kFineBelow = 0.01; // A
    const double steps = shorted < kFineBelow ? 1e6 : 1e4;
    const record::Reading amps = reading(build, "amps", record::ReadingQuantity::ShortCircuitCurrent,
                                         std::round(shorted * steps) / steps, m_now + 300'000);
    commit(noted(amps), {amps});
}

void DemoBook::slip(const record::Id& build, double amps, record::Millis at) {
    constexpr double kMilliForWhole = 1000.0;
    m_now = at;
    record::Reading wrong =
        reading(build, "slip", record::ReadingQuantity::ShortCircuitCurrent, amps * kMilliForWhole, at);
    commit(noted(wrong), {wrong});
    wrong.struckOut = true;
    commit({"command.struck-out", {{"what", std::vector{wording::readingSaid(wrong)}}}}, {wrong});
    const record::Reading right =
        reading(build, "right", record::ReadingQuantity::ShortCircuitCurrent, amps, at + 60'000);
    commit(noted(right), {right});
}

void DemoBook::event(const record::Id& build, record::Millis at, const std::string& text, bool changes) {
    m_now = at;
    commit({"command.noted-event", {{"text", text}}},
           {record::Event{idFor(build + text), build, m_now, text, changes}});
}

void DemoBook::run(const record::Id& build, const design::CellDesign& design, const std::string& name,
                   record::Millis at, const DischargePlan& plan) {
    m_now = at;
    record::RunHeader header{idFor(build + name), build, name, m_now, 0, 0.0, false};
    const auto samples = discharge(m_catalogue, design, plan);
    if (const auto done = m_book.importRun({"command.import", {{"name", name}}}, m_now, header, samples);
        !done) {
        stop(wording::errorText(done.error()));
    }
}

} // namespace anodex::demo
