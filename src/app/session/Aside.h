// src/app/session/Aside.h - work beside the window, one piece after another, on a thread of its own.
//
// Waiting    nothing here waits for work to end: it is asked to stop, what it tells from then on is dropped,
//            and the next piece begins once it has ended. Only awaitAll() waits, after the last window is gone.
// Threads    begin(), queue() and stop() belong to the thread that told things arrive on.
#pragma once
#include <QObject>
#include <functional>
#include <future>
#include <memory>
#include <mutex>
#include <stop_token>

namespace anodex::app {

class Aside {
public:
    /// Hands something to the window's thread, in order; dropped when the work is no longer wanted.
    using Tell = std::function<void(std::function<void()>)>;
    /// Looks at its stop token now and then; what it needs it owns.
    using Work = std::function<void(const std::stop_token&, const Tell&)>;

    Aside();
    ~Aside();
    Aside(const Aside&) = delete;
    Aside& operator=(const Aside&) = delete;

    /// Stops what is at work or waits and does this instead.
    void begin(Work work);
    /// Does this after what is at work and waits.
    void queue(Work work);
    /// Drops everything.
    void stop();
    /// Ready once all that was begun so far has ended.
    [[nodiscard]] std::shared_future<void> ended() const { return m_last; }

    /// For the end of the program: waits for all work of all.
    static void awaitAll();
    /// The same at the end of a scope, after whatever was made later in it is gone.
    struct AwaitAll {
        AwaitAll() = default;
        ~AwaitAll() { awaitAll(); }
        AwaitAll(const AwaitAll&) = delete;
        AwaitAll& operator=(const AwaitAll&) = delete;
    };

private:
    struct Mailbox;
    void start(Work work);

    std::shared_ptr<Mailbox> m_mailbox;
    std::stop_source m_stop;
    std::shared_future<void> m_last;
};

} // namespace anodex::app
