// src/core/base/Fault.h - a law asked for something it cannot answer: a bug, never a wrong input.
//
// Thrown where it happens, so that no number without meaning travels on. It is caught at the evaluator's
// doors (the window's session, the command line), logged and answered in a line; in tests it is fatal.
#pragma once
#include <exception>

namespace anodex::base {

class Fault : public std::exception {
public:
    enum class Kind {
        OutsideDomain, ///< The law does not hold for this argument.
        DidNotEnd      ///< A solve did not come to an end.
    };
    /// `law` is a literal: "root search", "speciation".
    Fault(Kind kind, const char* law, double value) : m_kind(kind), m_law(law), m_value(value) {}

    [[nodiscard]] Kind kind() const { return m_kind; }
    [[nodiscard]] const char* law() const { return m_law; }
    [[nodiscard]] double value() const { return m_value; } ///< The argument or the residual at fault.
    [[nodiscard]] const char* what() const noexcept override { return m_law; }

private:
    Kind m_kind;
    const char* m_law;
    double m_value;
};

} // namespace anodex::base
