// src/app/session/Selection.h - what is at hand of an open notebook: a revision whenever it has one; a build
// may be.
#pragma once
#include "app/session/Command.h"
#include "app/session/Contents.h"

namespace anodex::app {

class Selection {
public:
    /// `contents` outlive the selection.
    explicit Selection(const Contents& contents) : m_contents(contents) {}

    [[nodiscard]] const Place& place() const { return m_at; }
    [[nodiscard]] const record::Revision* revision() const { return m_contents.revision(m_at.revision); }
    [[nodiscard]] const BuildSummary* build() const { return m_contents.build(m_at.build); }
    /// Of the build at hand.
    [[nodiscard]] std::vector<record::Reading> readings() const;
    [[nodiscard]] std::vector<record::Event> events() const;

    /// To which the view of the notebook is narrowed; null: all of them.
    [[nodiscard]] const record::Project* project() const { return m_contents.project(m_project); }
    /// Of none: all are shown. A revision of another project that comes to hand widens it again.
    void setProject(const record::Id& project) { m_project = project; }
    /// What is not there is replaced by what is: see follow().
    void set(const Place& place);
    /// The revision with its latest build.
    void setRevision(const record::Id& revision);
    /// After the contents changed: a build leads to its revision, and where nothing is known the last revision
    /// that is not set aside is taken. True when what is at hand is another.
    bool follow();

private:
    [[nodiscard]] record::Id latestBuildOf(const record::Id& revision) const;

    const Contents& m_contents;
    Place m_at;
    record::Id m_project;
};

} // namespace anodex::app
