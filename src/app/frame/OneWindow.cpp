#include "app/frame/OneWindow.h"

#include <QDataStream>
#include <QLocalSocket>

namespace anodex::app {
namespace {

constexpr int kPatienceMilliseconds = 500;
const QByteArray kTaken = QByteArrayLiteral("taken\n");

QByteArray written(const OneWindow::Wish& wish) {
    QByteArray bytes;
    QDataStream stream(&bytes, QIODevice::WriteOnly);
    stream.setVersion(QDataStream::Qt_6_0);
    stream << wish.notebook << wish.demo;
    return bytes;
}

} // namespace

OneWindow::OneWindow(QString socket, QObject* parent) : QObject(parent), m_socket(std::move(socket)) {
    m_server.setSocketOptions(QLocalServer::UserAccessOption);
    connect(&m_server, &QLocalServer::newConnection, this, &OneWindow::hear);
}

bool OneWindow::handOver(const Wish& wish) const {
    QLocalSocket socket;
    socket.connectToServer(m_socket);
    if (!socket.waitForConnected(kPatienceMilliseconds)) {
        return false;
    }
    socket.write(written(wish));
    socket.waitForBytesWritten(kPatienceMilliseconds);
    // A window that does not answer is none: better a second one than a click without an effect.
    return socket.waitForReadyRead(kPatienceMilliseconds) && socket.readAll() == kTaken;
}

bool OneWindow::listen() {
    // Asked first: listening would take the place of another's socket without a word.
    QLocalSocket someone;
    someone.connectToServer(m_socket);
    if (someone.waitForConnected(kPatienceMilliseconds)) {
        return false;
    }
    QLocalServer::removeServer(m_socket);
    return m_server.listen(m_socket);
}

void OneWindow::hear() {
    while (QLocalSocket* socket = m_server.nextPendingConnection()) {
        connect(socket, &QLocalSocket::disconnected, socket, &QObject::deleteLater);
        connect(socket, &QLocalSocket::readyRead, this, [this, socket] {
            QDataStream stream(socket);
            stream.setVersion(QDataStream::Qt_6_0);
            stream.startTransaction();
            Wish wish;
            stream >> wish.notebook >> wish.demo;
            if (stream.commitTransaction()) {
                socket->write(kTaken);
                socket->flush();
                emit wished(wish);
            }
        });
    }
}

} // namespace anodex::app
