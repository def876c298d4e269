#include "app/session/Aside.h"

#include <QMetaObject>
#include <algorithm>
#include <chrono>
#include <thread>
#include <vector>

namespace anodex::app {
namespace {

/// Threads whose work may still go on.
struct Running {
    std::mutex mutex;
    std::vector<std::pair<std::shared_future<void>, std::jthread>> threads;

    void add(const std::shared_future<void>& ended, std::jthread thread) {
        const std::lock_guard guard(mutex);
        std::erase_if(threads, [](const auto& one) {
            return one.first.wait_for(std::chrono::seconds(0)) == std::future_status::ready;
        });
        threads.emplace_back(ended, std::move(thread));
    }
    void await() {
        std::vector<std::pair<std::shared_future<void>, std::jthread>> last;
        {
            const std::lock_guard guard(mutex);
            last.swap(threads);
        }
        last.clear();
    }
};

Running& running() {
    static Running all;
    return all;
}

} // namespace

/// Outlives whom it is for, so that a thread always has where to put what it tells.
struct Aside::Mailbox {
    std::mutex mutex;
    QObject* receiver = nullptr; ///< None once its owner is gone.

    void post(const std::stop_token& stop, std::function<void()> told) {
        const std::lock_guard guard(mutex);
        if (receiver != nullptr) {
            QMetaObject::invokeMethod(
                receiver,
                [stop, tell = std::move(told)] {
                    if (!stop.stop_requested()) {
                        tell();
                    }
                },
                Qt::QueuedConnection);
        }
    }
};

Aside::Aside() : m_mailbox(std::make_shared<Mailbox>()) {
    m_mailbox->receiver = new QObject;
    std::promise<void> nothing;
    nothing.set_value();
    m_last = nothing.get_future().share();
}

Aside::~Aside() {
    stop();
    const std::lock_guard guard(m_mailbox->mutex);
    delete std::exchange(m_mailbox->receiver, nullptr);
}

void Aside::begin(Work work) {
    stop();
    start(std::move(work));
}

void Aside::queue(Work work) {
    start(std::move(work));
}

void Aside::stop() {
    m_stop.request_stop();
    m_stop = std::stop_source();
}

void Aside::start(Work work) {
    auto done = std::make_shared<std::promise<void>>();
    const std::shared_future<void> before = m_last;
    m_last = done->get_future().share();
    running().add(
        m_last,
        std::jthread([done, before, work = std::move(work), stop = m_stop.get_token(), mailbox = m_mailbox] {
            before.wait();
            if (!stop.stop_requested()) {
                work(stop, [&](std::function<void()> told) { mailbox->post(stop, std::move(told)); });
            }
            done->set_value();
        }));
}

void Aside::awaitAll() {
    running().await();
}

} // namespace anodex::app
