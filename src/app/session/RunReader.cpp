#include "app/session/RunReader.h"

#include "notebook/RunChannels.h"
#include "wording/ErrorText.h"

#include <algorithm>
#include <optional>
#include <thread>
#include <utility>

namespace anodex::app {
namespace {

using Clock = std::chrono::steady_clock;
using Moment = std::atomic<Clock::time_point>;

void waitUntil(const Moment& resumes, const std::stop_token& stop) {
    constexpr auto kLook = std::chrono::milliseconds(10);
    while (Clock::now() < resumes.load() && !stop.stop_requested()) {
        std::this_thread::sleep_for(kLook);
    }
}

/// A run of the notebook, part after part; what goes wrong stands in `error`, and then nothing more comes.
run::RunSource sourceOf(const notebook::Notebook& book, const record::Id& id, const Moment& resumes,
                        const std::stop_token& stop, std::optional<notebook::NotebookError>& error) {
    return [&book, id, &resumes, &stop, &error](const std::function<void(const run::RunPart&)>& take) {
        const auto channels = book.channels(id);
        const auto volts = channels ? notebook::positionOf(*channels, record::kVoltageChannel) : std::nullopt;
        const auto amps = channels ? notebook::positionOf(*channels, record::kCurrentChannel) : std::nullopt;
        std::vector<double> none; // of a channel the run has not
        const auto read = book.eachPart(id, [&](const notebook::Columns& columns) {
            waitUntil(resumes, stop);
            if (stop.stop_requested() || error) {
                return;
            }
            none.resize(columns.front().size(), 0.0);
            const auto column = [&](const std::optional<std::size_t>& position) {
                return position ? columns[*position] : std::span(none).first(columns.front().size());
            };
            take({columns.front(), column(volts), column(amps)});
        });
        if (!read) {
            error = read.error();
        }
    };
}

} // namespace

RunReader::RunReader(QObject* parent) : QObject(parent) {
    constexpr int kGathered = 50; // ms: no wait for the eye, and many short runs
    m_gather.setSingleShot(true);
    m_gather.setInterval(kGathered);
    connect(&m_gather, &QTimer::timeout, this, [this] {
        const std::vector<ReadRun> arrived = std::exchange(m_arrived, {});
        for (const ReadRun& one : arrived) {
            std::erase(m_wanted, one.run);
        }
        emit finished(arrived);
    });
}

void RunReader::arrive(const ReadRun& run) {
    m_arrived.push_back(run);
    if (!m_gather.isActive()) {
        m_gather.start();
    }
}

void RunReader::drop() {
    m_gather.stop();
    m_arrived.clear();
}

void RunReader::read(const QString& notebook, const std::vector<record::Id>& runs) {
    if (notebook == m_notebook && runs == m_wanted) {
        return;
    }
    drop();
    m_notebook = notebook;
    m_wanted = runs;
    if (runs.empty()) {
        m_aside.stop();
        return;
    }
    m_aside.begin([this, path = notebook.toStdString(), runs,
                   resumes = m_resumes](const std::stop_token& stop, const Aside::Tell& tell) {
        const auto book = notebook::Notebook::open(path, notebook::OpenMode::Read);
        for (const record::Id& run : runs) {
            if (stop.stop_requested()) {
                return;
            }
            std::optional<notebook::NotebookError> error;
            RunDigestPointer digest = book ? digestOf(sourceOf(*book, run, *resumes, stop, error)) : nullptr;
            error = book ? error : book.error();
            digest = error ? nullptr : digest;
            const QString problem = error ? QString::fromStdString(wording::errorText(*error)) : QString();
            tell([this, one = ReadRun{run, digest, problem}] { arrive(one); });
        }
    });
}

void RunReader::giveWay() {
    constexpr auto kQuiet = std::chrono::milliseconds(400);
    m_resumes->store(Clock::now() + kQuiet);
}

void RunReader::stop() {
    m_aside.stop();
    drop();
    m_notebook.clear();
    m_wanted.clear();
}

} // namespace anodex::app
