#include "app/session/RunImport.h"

#include "app/session/Commands.h"

#include <QElapsedTimer>
#include <algorithm>

namespace anodex::app {
namespace {

// Between two pieces the window is drawn, and whoever else writes finds a moment.
constexpr int kPauseMilliseconds = 10;

} // namespace

RunImport::RunImport(Store& store, Services services, QObject* parent)
    : QObject(parent), m_store(store), m_services(std::move(services)) {
    m_timer.setSingleShot(true);
    connect(&m_timer, &QTimer::timeout, this, &RunImport::next);
    connect(&store, &Store::closing, this, &RunImport::drop);
}

bool RunImport::start(record::RunHeader run, std::shared_ptr<const record::RunSamples> samples) {
    if (isBusy() || m_store.notebook() == nullptr) {
        return false;
    }
    m_services.log->command("import");
    m_run = std::move(run);
    m_samples = std::move(samples);
    m_from = 0;
    next();
    return true;
}

void RunImport::next() {
    QElapsedTimer took;
    took.start();
    const auto stored = m_store.notebook()->importPiece(m_run, *m_samples, m_from);
    if (!stored) {
        m_store.report("import", stored.error());
        leave(false);
        return;
    }
    m_from = *stored;
    if (m_from >= m_samples->size()) {
        finish();
        return;
    }
    emit progressed(static_cast<double>(m_from) / static_cast<double>(m_samples->size()));
    m_timer.start(std::max(kPauseMilliseconds, static_cast<int>(took.elapsed())));
}

void RunImport::finish() {
    const auto done =
        m_store.notebook()->finishImport(commands::importSaid(m_run), m_services.now(), m_run, *m_samples);
    if (!done) {
        m_store.report("import", done.error());
        leave(false);
        return;
    }
    m_run = *done;
    // In hand: it need not be read again.
    m_store.takeDigests({{m_run.id, digestOf(run::sourceOf(*m_samples))}});
    m_store.adopt({m_run});
    leave(true);
}

void RunImport::stop() {
    if (isBusy()) {
        drop();
        m_store.report("import", {notebook::NotebookError::Code::Stopped, {}});
    }
}

void RunImport::drop() {
    if (!isBusy()) {
        return;
    }
    if (const auto dropped = m_store.notebook()->dropImport(m_run.id); !dropped) {
        m_store.report("import", dropped.error());
    }
    leave(false);
}

void RunImport::leave(bool stored) {
    m_timer.stop();
    m_samples.reset();
    emit finished(m_run, stored);
}

} // namespace anodex::app
