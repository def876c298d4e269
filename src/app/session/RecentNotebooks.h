// src/app/session/RecentNotebooks.h - the notebooks that were open lately, newest first.
#pragma once
#include <QStringList>

namespace anodex::app {

class RecentNotebooks {
public:
    /// Without a file to remember in there are none.
    explicit RecentNotebooks(QString settingsFile) : m_file(std::move(settingsFile)) {}

    /// Those that are still there.
    [[nodiscard]] QStringList paths() const;
    void add(const QString& path) const;

private:
    QString m_file;
};

} // namespace anodex::app
