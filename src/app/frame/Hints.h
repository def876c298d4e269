// src/app/frame/Hints.h - what a view is for, said once: until somebody used it.
#pragma once
#include <QString>

namespace anodex::app {

class Hints {
public:
    /// Without a file to remember in there are no hints.
    explicit Hints(QString settingsFile) : m_file(std::move(settingsFile)) {}

    /// Empty where the view was used before, or needs none.
    [[nodiscard]] QString of(const QString& view) const;
    void used(const QString& view) const;

private:
    QString m_file;
};

} // namespace anodex::app
