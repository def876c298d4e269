#include "app/session/FileJobs.h"

#include "wording/ErrorText.h"

#include <QMetaObject>

namespace anodex::app {
namespace {

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

QStringList list(const std::vector<std::string>& texts) {
    QStringList result;
    for (const std::string& text : texts) {
        result << q(text);
    }
    return result;
}

template <typename T> QString problemOf(const notebook::Answer<T>& answer) {
    return answer ? QString() : q(wording::errorText(answer.error()));
}

} // namespace

FileJobs::~FileJobs() {
    stop();
}

void FileJobs::stop() {
    m_thread = std::jthread();
}

/// `work` runs aside and returns what is told on the window's thread.
template <typename Work> void FileJobs::begin(const Work& work) {
    m_thread = std::jthread([this, work](const std::stop_token& stop) {
        auto tell = work(stop);
        QMetaObject::invokeMethod(this, std::move(tell), Qt::QueuedConnection);
    });
}

void FileJobs::check(const QString& notebook) {
    begin([this, notebook](const std::stop_token& stop) {
        const auto book = notebook::Notebook::open(notebook.toStdString(), notebook::OpenMode::Read);
        const auto faults = book ? book->check(stop) : tl::unexpected(book.error());
        const QStringList told = faults ? list(*faults) : QStringList(problemOf(faults));
        const bool stopped = stop.stop_requested();
        return [this, notebook, told, stopped] {
            if (!stopped) {
                emit checked(notebook, told);
            }
        };
    });
}

void FileJobs::copy(const QString& from, const QString& to) {
    begin([this, from, to](const std::stop_token& /*stop*/) {
        const QString problem = problemOf(notebook::copyNotebook(from.toStdString(), to.toStdString()));
        return [this, to, problem] { emit copied(to, problem); };
    });
}

void FileJobs::rescue(const QString& damaged, const QString& fresh) {
    begin([this, damaged, fresh](const std::stop_token& /*stop*/) {
        const auto done = notebook::rescueNotebook(damaged.toStdString(), fresh.toStdString());
        const QStringList lost = done ? list(done->lost) : QStringList();
        return [this, fresh, lost, problem = problemOf(done)] { emit rescued(fresh, lost, problem); };
    });
}

void FileJobs::restore(const QString& notebook, const QString& backup) {
    begin([this, notebook, backup](const std::stop_token& /*stop*/) {
        const auto done = notebook::restoreNotebook(notebook.toStdString(), backup.toStdString());
        const QString keptAs = done ? q(*done) : QString();
        return
            [this, notebook, keptAs, problem = problemOf(done)] { emit restored(notebook, keptAs, problem); };
    });
}

} // namespace anodex::app
