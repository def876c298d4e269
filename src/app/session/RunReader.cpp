#include "app/session/RunReader.h"

#include "wording/ErrorText.h"

#include <QMetaObject>
#include <algorithm>

namespace anodex::app {

RunReader::~RunReader() {
    stop();
}

void RunReader::read(const QString& notebook, const std::vector<record::Id>& runs) {
    if (notebook == m_notebook && runs == m_wanted) {
        return;
    }
    m_notebook = notebook;
    m_wanted = runs;
    if (runs.empty()) {
        m_thread.request_stop();
        return;
    }
    m_thread = std::jthread([this, path = notebook.toStdString(), runs](const std::stop_token& stop) {
        const auto book = notebook::Notebook::open(path, notebook::OpenMode::Read);
        for (const record::Id& run : runs) {
            if (stop.stop_requested()) {
                return;
            }
            const auto samples = book ? book->samples(run) : tl::unexpected(book.error());
            const RunDigestPointer digest = samples ? digestOf(*samples) : nullptr;
            const QString problem =
                samples ? QString() : QString::fromStdString(wording::errorText(samples.error()));
            QMetaObject::invokeMethod(
                this,
                [this, run, digest, problem] {
                    if (std::erase(m_wanted, run) > 0) {
                        emit finished(QString::fromStdString(run), digest, problem);
                    }
                },
                Qt::QueuedConnection);
        }
    });
}

void RunReader::stop() {
    m_thread = std::jthread();
    m_notebook.clear();
    m_wanted.clear();
}

} // namespace anodex::app
