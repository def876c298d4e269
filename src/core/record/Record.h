// src/core/record/Record.h - the plain values a notebook holds.
//
// Ids        UUID text, never reused. A default-constructed id is empty and means "none".
// Times      milliseconds since 1970-01-01 UTC.
// Units      SI; current positive on discharge.
#pragma once
#include "core/base/Interval.h"
#include "core/cell/SampledCurve.h"
#include "core/design/Design.h"
#include <cstdint>
#include <optional>
#include <string>
#include <vector>

namespace anodex::record {

using Id = std::string;
using Millis = std::int64_t;

struct Project {
    Id id;
    std::string name;
    Millis created = 0;
    bool operator==(const Project&) const = default;
};

/// One state of a design. Edited in place until something is built from it; then a child begins.
struct Revision {
    Id id;
    Id project;
    Id parent; ///< Empty for the first of a line.
    std::string name;
    design::CellDesign design;
    Millis created = 0;
    bool setAside = false;
    bool operator==(const Revision&) const = default;
};

struct Expected {
    double value = 0.0;
    base::Interval range;
    bool operator==(const Expected&) const = default;
};

/// What the model said on the day a build was written down; never recomputed.
struct Expectation {
    std::string modelVersion;
    std::string catalogueVersion;
    Expected openCircuitVolts;
    Expected shortCircuitAmps;
    Expected maximumWatts;
    Expected capacityCoulombs;
    Expected resistanceOhm;
    std::vector<cell::CurvePoint>
        curve; ///< From rest to short circuit, moment `first`; empty in old notebooks.
    bool operator==(const Expectation&) const = default;
};

struct Build {
    Id id;
    Id revision;
    std::string name;
    Millis built = 0;
    design::CellDesign asBuilt;
    Expectation expectation;
    bool setAside = false;
    bool operator==(const Build&) const = default;
};

/// Stored numbers; never renumbered.
enum class ReadingQuantity {
    OpenCircuitVoltage = 1,
    LoadedVoltage = 2,
    ShortCircuitCurrent = 3,
    Current = 4,
    Acidity = 5,
    Resistance = 6,
    Temperature = 7,
    Density = 8,
    Mass = 9,
    Level = 10
};

enum class ReadingSide { Whole = 0, Negative = 1, Positive = 2 };

/// A load of the catalogue, kept as designs keep theirs.
struct OnDevice {
    std::string id;
    std::string name; ///< As it was called.
    bool operator==(const OnDevice&) const = default;
};

struct Reading {
    Id id;
    Id build;
    ReadingQuantity quantity = ReadingQuantity::OpenCircuitVoltage;
    ReadingSide side = ReadingSide::Whole;
    double value = 0.0;             ///< SI (temperature in K, density in kg/m³, mass in kg, level in m).
    std::optional<double> loadOhm;  ///< For a loaded voltage or a current through a known resistor.
    std::optional<OnDevice> device; ///< What it was read on, where that is no resistor.
    std::optional<double> loadedSeconds; ///< That the load had been on for.
    Millis when = 0;
    std::string note;
    bool struckOut = false;
    bool operator==(const Reading&) const = default;
};

/// Something done to the cell; after one that changes it, earlier readings no longer describe it.
struct Event {
    Id id;
    Id build;
    Millis when = 0;
    std::string text;
    bool changesCell = false;
    bool operator==(const Event&) const = default;
};

struct RunHeader {
    Id id;
    Id build;
    std::string name;
    Millis started = 0;
    std::int64_t samples = 0;
    double durationSeconds = 0.0;
    bool setAside = false;
    bool operator==(const RunHeader&) const = default;
};

/// Text in one of our open formats that belongs to the whole notebook.
enum class DocumentKind {
    Shelf = 1,   ///< What the builder owns: one *.shelf.json.
    OwnEntry = 2 ///< One entry of a catalogue file, named by `name`.
};

struct Document {
    Id id;
    DocumentKind kind = DocumentKind::Shelf;
    std::string name;
    std::string text;
    bool setAside = false;
    bool operator==(const Document&) const = default;
};

/// A named column of a run.
struct Channel {
    std::string name;
    std::string unit;    ///< Of what stands in the file.
    double factor = 1.0; ///< By which what the device gave was multiplied: its unit, and our sign.
    bool operator==(const Channel&) const = default;
};
inline constexpr const char* kTimeChannel = "time";       ///< s, the first of every run.
inline constexpr const char* kVoltageChannel = "voltage"; ///< V
inline constexpr const char* kCurrentChannel = "current"; ///< A, positive on discharge.

/// Bulk samples of a run: parallel columns, time rising.
struct RunSamples {
    std::vector<double> seconds;
    std::vector<double> volts;
    std::vector<double> amps; ///< Positive on discharge.
    [[nodiscard]] std::size_t size() const { return seconds.size(); }
    bool operator==(const RunSamples&) const = default;
};

} // namespace anodex::record
