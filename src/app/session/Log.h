// src/app/session/Log.h - what the program did and what went wrong, for whoever looks for a fault.
//
// Commands by kind, errors by code, recoveries, what the toolkit complains of, the last words of a crash.
// Nothing a builder typed, no names, no values. Small: two files of 200 kB at most.
//
// Threads    safe from all.
#pragma once
#include <memory>
#include <string>
#include <string_view>

namespace spdlog {
class logger;
}

namespace anodex::app {

class Log {
public:
    /// Without a path, or where it cannot be written, nothing is kept.
    explicit Log(std::string path);
    ~Log();
    Log(const Log&) = delete;
    Log& operator=(const Log&) = delete;

    [[nodiscard]] const std::string& path() const { return m_path; }
    /// What is being done, until the next: "commit revision build". Also the last words if the program dies.
    void command(std::string_view what);
    /// "commit", "disk-full", 13
    void error(std::string_view where, std::string_view code, int storageCode = 0);
    void recovered(std::string_view what);
    /// A fault in the program itself: of a law, of the toolkit.
    void fault(std::string_view where, std::string_view what);

    /// From now on a crash writes its signal and the command at hand before the program ends.
    void writeLastWords();

private:
    std::string m_path;
    std::shared_ptr<spdlog::logger> m_logger;
};

} // namespace anodex::app
