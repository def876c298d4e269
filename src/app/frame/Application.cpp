#include "app/frame/Application.h"

#include "wording/ErrorText.h"

#include <QSocketNotifier>
#include <array>
#include <csignal>
#include <sys/socket.h>
#include <unistd.h>

namespace anodex::app {
namespace {

// What a signal handler may touch: one end of a pair of sockets, whose other end the loop listens to.
std::array<int, 2>& signalSockets() {
    static std::array<int, 2> sockets{-1, -1};
    return sockets;
}

void passOn(int /*signal*/) {
    const char byte = 1;
    [[maybe_unused]] const ssize_t written = ::write(signalSockets()[0], &byte, 1);
}

Log*& complaintsTo() {
    static Log* log = nullptr;
    return log;
}

void complain(QtMsgType type, const QMessageLogContext& context, const QString& message) {
    if (complaintsTo() != nullptr && type != QtDebugMsg && type != QtInfoMsg) {
        complaintsTo()->fault(context.category != nullptr ? context.category : "toolkit",
                              message.toStdString());
    }
}

} // namespace

Application::Application(int& argc, char** argv) : QApplication(argc, argv) {}

void Application::setLog(Log& log) {
    m_log = &log;
    complaintsTo() = &log;
    qInstallMessageHandler(complain);
    log.writeLastWords();
}

void Application::endOnSignals() {
    if (::socketpair(AF_UNIX, SOCK_STREAM | SOCK_CLOEXEC, 0, signalSockets().data()) != 0) {
        return;
    }
    auto* notifier = new QSocketNotifier(signalSockets()[1], QSocketNotifier::Read, this);
    connect(notifier, &QSocketNotifier::activated, this, [notifier] {
        notifier->setEnabled(false);
        closeAllWindows();
        quit();
    });
    for (const int signal : {SIGTERM, SIGINT, SIGHUP}) {
        std::signal(signal, passOn);
    }
}

bool Application::notify(QObject* receiver, QEvent* event) {
    try {
        return QApplication::notify(receiver, event);
    } catch (const base::Fault& fault) {
        if (m_log != nullptr) {
            m_log->fault("model", fault.law());
        }
        if (m_faulted) {
            m_faulted(QString::fromStdString(wording::errorText(fault)));
        }
        return true;
    }
}

} // namespace anodex::app
