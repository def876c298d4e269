#include "app/session/RunReader.h"

#include <QMetaObject>
#include <algorithm>

namespace anodex::app {

RunReader::~RunReader() {
    m_thread.request_stop();
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
            if (stop.stop_requested() || !book) {
                return;
            }
            const RunDigestPointer digest = readDigest(*book, run);
            QMetaObject::invokeMethod(
                this,
                [this, run, digest] {
                    m_wanted.erase(std::remove(m_wanted.begin(), m_wanted.end(), run), m_wanted.end());
                    emit finished(QString::fromStdString(run), digest);
                },
                Qt::QueuedConnection);
        }
    });
}

} // namespace anodex::app
