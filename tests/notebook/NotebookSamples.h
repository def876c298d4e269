// tests/notebook/NotebookSamples.h - a small notebook with one of everything, and the records it is made of.
#pragma once
#include "notebook/Notebook.h"
#include "tests/support/Samples.h"

#include <gtest/gtest.h>

namespace anodex::notebook {

inline record::Project project(const std::string& id = "p1") {
    return {id, "Shed", 1000};
}

inline record::Revision revision(const std::string& id, const std::string& parent = {}) {
    return {id, "p1", parent, "Jar " + id, test::design(test::beakers()), 2000, false};
}

inline record::Build build(const std::string& id) {
    record::Build made;
    made.id = id;
    made.revision = "r1";
    made.name = "build " + id;
    made.built = 3000;
    made.asBuilt = test::design(test::beakers());
    made.expectation.modelVersion = "1";
    made.expectation.openCircuitVolts = {1.1, {1.08, 1.12}};
    return made;
}

inline record::Reading reading(const std::string& id, double value) {
    record::Reading made;
    made.id = id;
    made.build = "b1";
    made.value = value;
    made.when = 4000;
    made.note = "clear";
    made.loadOhm = 10.0;
    return made;
}

inline record::RunHeader run(const std::string& id, const std::string& name = "overnight") {
    record::RunHeader made;
    made.id = id;
    made.build = "b1";
    made.name = name;
    return made;
}

inline void fill(Notebook& book) {
    ASSERT_TRUE(book.commit("new design", 1, {project(), revision("r1")}));
    ASSERT_TRUE(book.commit("build", 2, {build("b1")}));
    ASSERT_TRUE(book.commit("reading", 3, {reading("m1", 1.09)}));
    ASSERT_TRUE(book.commit("event", 4, {record::Event{"e1", "b1", 5000, "stirred", true}}));
    ASSERT_TRUE(book.importRun("run", 5, run("n1"), test::straightDischarge(0.1, 3600.0, 10000)));
}

} // namespace anodex::notebook
