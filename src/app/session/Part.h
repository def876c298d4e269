// src/app/session/Part.h - what a change touched, so that a view renews only for what it shows.
#pragma once
#include <QFlags>

namespace anodex::app {

enum class Part {
    Design = 0x01,    ///< The design at hand or what the model says of it.
    Doubt = 0x02,     ///< Ranges arrived.
    Place = 0x04,     ///< Which revision and build are at hand.
    Revisions = 0x08, ///< Projects and revisions.
    Builds = 0x10,
    Notes = 0x20, ///< Readings and events.
    Runs = 0x40,  ///< Headers, or what was found in the samples.
    Documents = 0x80,
    File = 0x100, ///< Another notebook is open, or none.
};
Q_DECLARE_FLAGS(Parts, Part)
Q_DECLARE_OPERATORS_FOR_FLAGS(Parts)

/// Whatever a notebook holds.
inline constexpr Parts kContent = Parts(Part::Place) | Part::Revisions | Part::Builds | Part::Notes |
                                  Part::Runs | Part::Documents | Part::File;

} // namespace anodex::app
