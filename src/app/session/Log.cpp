#include "app/session/Log.h"

#include <array>
#include <csignal>
#include <cstring>
#include <fcntl.h>
#include <filesystem>
#include <spdlog/sinks/rotating_file_sink.h>
#include <spdlog/spdlog.h>
#include <unistd.h>

namespace anodex::app {
namespace {

constexpr std::size_t kLargest = 200'000;
constexpr std::size_t kOlderFiles = 1;

// A signal handler may only touch what was made ready before.
struct LastWords {
    int file = -1;
    std::array<char, 128> command{};
};
LastWords& lastWords() {
    static LastWords words;
    return words;
}

void write(int file, const char* text) {
    [[maybe_unused]] const ssize_t written = ::write(file, text, std::strlen(text));
}

void die(int signal) {
    const LastWords& words = lastWords();
    std::array<char, 3> number{static_cast<char>('0' + signal / 10), static_cast<char>('0' + signal % 10),
                               '\0'};
    write(words.file, "died of signal ");
    write(words.file, number.data());
    write(words.file, " during: ");
    write(words.file, words.command.data());
    write(words.file, "\n");
    std::signal(signal, SIG_DFL);
    std::raise(signal);
}

} // namespace

Log::Log(std::string path) : m_path(std::move(path)) {
    if (m_path.empty()) {
        return;
    }
    std::error_code ignored;
    std::filesystem::create_directories(std::filesystem::path(m_path).parent_path(), ignored);
    try {
        auto sink = std::make_shared<spdlog::sinks::rotating_file_sink_mt>(m_path, kLargest, kOlderFiles);
        m_logger = std::make_shared<spdlog::logger>("anodex", std::move(sink));
        m_logger->set_pattern("%Y-%m-%dT%H:%M:%S.%e%z %v");
        m_logger->flush_on(spdlog::level::info);
    } catch (const spdlog::spdlog_ex&) {
        m_logger.reset(); // a full or read-only disk does not keep the window from opening
    }
}

Log::~Log() = default;

void Log::command(std::string_view what) {
    auto& words = lastWords().command;
    const std::size_t length = std::min(what.size(), words.size() - 1);
    what.copy(words.data(), length);
    words[length] = '\0';
    if (m_logger) {
        m_logger->info("command {}", what);
    }
}

void Log::error(std::string_view where, std::string_view code, int storageCode) {
    if (m_logger) {
        m_logger->info("error {} {} {}", where, code, storageCode);
    }
}

void Log::recovered(std::string_view what) {
    if (m_logger) {
        m_logger->info("recovered {}", what);
    }
}

void Log::fault(std::string_view where, std::string_view what) {
    if (m_logger) {
        m_logger->info("fault {}: {}", where, what);
    }
}

void Log::writeLastWords() {
    lastWords().file = ::open(m_path.c_str(), O_WRONLY | O_APPEND | O_CREAT | O_CLOEXEC, 0600);
    if (lastWords().file < 0) {
        return;
    }
    for (const int signal : {SIGSEGV, SIGBUS, SIGFPE, SIGILL, SIGABRT}) {
        std::signal(signal, die);
    }
}

} // namespace anodex::app
