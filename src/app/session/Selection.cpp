#include "app/session/Selection.h"

#include <algorithm>

namespace anodex::app {

std::vector<record::Reading> Selection::readings() const {
    return build() != nullptr ? build()->readings : std::vector<record::Reading>();
}

std::vector<record::Event> Selection::events() const {
    return build() != nullptr ? build()->events : std::vector<record::Event>();
}

void Selection::set(const Place& place) {
    m_at = place;
    follow();
    if (revision() != nullptr && revision()->project != m_project) {
        m_project.clear();
    }
}

void Selection::setRevision(const record::Id& revision) {
    set({revision, latestBuildOf(revision)});
}

bool Selection::follow() {
    const Place before = m_at;
    if (build() == nullptr) {
        m_at.build.clear();
    } else {
        m_at.revision = build()->build.revision;
    }
    if (revision() == nullptr) {
        const auto last = std::find_if(m_contents.revisions.rbegin(), m_contents.revisions.rend(),
                                       [](const record::Revision& one) { return !one.setAside; });
        m_at.revision = last == m_contents.revisions.rend() ? record::Id() : last->id;
        m_at.build = latestBuildOf(m_at.revision);
    }
    return !(m_at == before);
}

record::Id Selection::latestBuildOf(const record::Id& revision) const {
    const auto builds = m_contents.buildsOf(revision);
    return builds.empty() ? record::Id() : builds.back()->build.id;
}

} // namespace anodex::app
