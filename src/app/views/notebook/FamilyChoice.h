// src/app/views/notebook/FamilyChoice.h - to which kind of cell the notebook's map is narrowed.
//
// What comes to hand of another kind widens it again, so that it is never out of sight.
#pragma once
#include "app/session/Workbench.h"
#include <QPushButton>
#include <utility>

namespace anodex::app {

class FamilyChoice : public QPushButton {
    Q_OBJECT
public:
    FamilyChoice(Workbench& bench, QWidget* parent);

signals:
    void chosen(const QString& family); ///< Empty: every kind.

private:
    void fill();
    void follow();
    void choose(const std::string& family);

    Workbench& m_bench;
    std::string m_family;                        ///< Empty: every kind.
    std::pair<record::Id, std::string> m_atHand; ///< The revision, and its kind, when last looked for.
};

} // namespace anodex::app
