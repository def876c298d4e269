// src/app/frame/Application.h - the toolkit's application with two doors: faults of the model and signals to
// end.
#pragma once
#include "app/session/Log.h"
#include <QApplication>
#include <functional>

namespace anodex::app {

class Application : public QApplication {
public:
    Application(int& argc, char** argv);

    /// Where faults and what the toolkit complains of are written; it outlives the application's loop.
    void setLog(Log& log);
    /// A law of the model failed while something was drawn or clicked: one line for the builder.
    void setFaulted(std::function<void(const QString& text)> faulted) { m_faulted = std::move(faulted); }
    /// SIGTERM, SIGINT and SIGHUP end the program as closing the window does.
    void endOnSignals();

    /// Nothing is thrown through the toolkit.
    bool notify(QObject* receiver, QEvent* event) override;

private:
    Log* m_log = nullptr;
    std::function<void(const QString& text)> m_faulted;
};

} // namespace anodex::app
