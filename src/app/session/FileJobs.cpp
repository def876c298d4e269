#include "app/session/FileJobs.h"

#include "notebook/Travel.h"
#include "wording/ErrorText.h"
#include "wording/Texts.h"

namespace anodex::app {
namespace {

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

QStringList told(const std::vector<base::Said>& texts) {
    QStringList result;
    for (const base::Said& said : texts) {
        result << q(wording::text(said));
    }
    return result;
}

template <typename T> QString problemOf(const notebook::Answer<T>& answer) {
    return answer ? QString() : q(wording::errorText(answer.error()));
}

} // namespace

void FileJobs::stopChecking() {
    m_checks.stop();
}

void FileJobs::check(const QString& notebook) {
    m_checks.begin([this, notebook](const std::stop_token& stop, const Aside::Tell& tell) {
        const auto book = notebook::Notebook::open(notebook.toStdString(), notebook::OpenMode::Read);
        const auto faults = book ? book->check(stop) : tl::unexpected(book.error());
        const QStringList words = faults ? told(*faults) : QStringList(problemOf(faults));
        tell([this, notebook, words] { emit checked(notebook, words); });
    });
}

void FileJobs::copy(const QString& from, const QString& to) {
    m_jobs.queue([this, from, to](const std::stop_token& /*stop*/, const Aside::Tell& tell) {
        const QString problem = problemOf(notebook::copyNotebook(from.toStdString(), to.toStdString()));
        tell([this, to, problem] { emit copied(to, problem); });
    });
}

void FileJobs::copyAsOf(const QString& from, const QString& to, std::int64_t entry) {
    m_jobs.queue([this, from, to, entry](const std::stop_token& /*stop*/, const Aside::Tell& tell) {
        QString problem = problemOf(notebook::copyNotebook(from.toStdString(), to.toStdString()));
        if (problem.isEmpty()) {
            auto copy = notebook::Notebook::open(to.toStdString(), notebook::OpenMode::Write);
            problem = copy ? problemOf(notebook::travelTo(*copy, entry)) : problemOf(copy);
        }
        tell([this, to, problem] { emit copied(to, problem); });
    });
}

void FileJobs::rescue(const QString& damaged, const QString& fresh) {
    m_jobs.queue([this, damaged, fresh](const std::stop_token& /*stop*/, const Aside::Tell& tell) {
        const auto done = notebook::rescueNotebook(damaged.toStdString(), fresh.toStdString());
        const QStringList lost = done ? told(done->lost) : QStringList();
        tell([this, fresh, lost, problem = problemOf(done)] { emit rescued(fresh, lost, problem); });
    });
}

void FileJobs::restore(const QString& notebook, const QString& backup, std::shared_future<void> free) {
    m_jobs.queue([this, notebook, backup, reading = std::move(free),
                  checking = m_checks.ended()](const std::stop_token& /*stop*/, const Aside::Tell& tell) {
        reading.wait();
        checking.wait();
        const auto done = notebook::restoreNotebook(notebook.toStdString(), backup.toStdString());
        const QString keptAs = done ? q(*done) : QString();
        tell([this, notebook, keptAs, problem = problemOf(done)] {
            emit restored(notebook, keptAs, problem);
        });
    });
}

} // namespace anodex::app
