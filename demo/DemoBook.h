// demo/DemoBook.h - writes one line after the other into the demo notebook: designs, builds, readings, runs.
//
// Deterministic: fixed seeds, fixed dates, ids made from names. Readings and runs come from the model itself.
#pragma once
#include "core/record/Record.h"
#include "demo/Discharge.h"
#include "notebook/Notebook.h"
#include <string>

namespace anodex::demo {

constexpr record::Millis kHour = 3'600'000;
constexpr record::Millis kDay = 24 * kHour;
constexpr record::Millis kSpring = 1'772'438'400'000; // 2026-03-02 08:00 UTC

/// Says so and ends the program: the demo is made while the program is built.
[[noreturn]] void stop(const std::string& why);

class DemoBook {
public:
    DemoBook(const chemistry::Catalogue& catalogue, notebook::Notebook& book);

    /// What stands in the shed.
    void fillShelf();
    [[nodiscard]] static design::CellDesign starter(const std::string& id);
    record::Revision revision(const std::string& name, const record::Id& parent,
                              const design::CellDesign& design, record::Millis at);
    record::Id build(const record::Revision& revision, const std::string& name, record::Millis at);
    /// Open and, minutes later, shorted, each so far from what the model says.
    void read(const record::Id& build, const design::CellDesign& design, record::Millis at, double voltsOff,
              double ampsFactor, const std::string& note);
    /// A shorted reading in the wrong unit, and the right one in its place.
    void slip(const record::Id& build, double amps, record::Millis at);
    void event(const record::Id& build, record::Millis at, const std::string& text, bool changes);
    void run(const record::Id& build, const design::CellDesign& design, const std::string& name,
             record::Millis at, const DischargePlan& plan);

private:
    void commit(const base::Said& said, const std::vector<notebook::Change>& changes);

    const chemistry::Catalogue& m_catalogue;
    notebook::Notebook& m_book;
    record::Project m_project;
    record::Millis m_now;
};

} // namespace anodex::demo
