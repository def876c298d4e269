// src/app/frame/OneWindow.h - one window for each desktop session: a second start hands over what it was asked
// to open and ends.
//
// The window listens at a socket in the session's own folder; one left by a crash is taken over.
#pragma once
#include <QLocalServer>
#include <QObject>
#include <QString>

namespace anodex::app {

class OneWindow : public QObject {
    Q_OBJECT
public:
    /// What a start asks for: a notebook by its absolute path, the demo, or nothing but to be seen.
    struct Wish {
        QString notebook;
        bool demo = false;
        bool operator==(const Wish&) const = default;
    };

    /// `socket` is a path in a folder of the user's own.
    explicit OneWindow(QString socket, QObject* parent = nullptr);

    /// True when a window took the wish: nothing is left to do here.
    [[nodiscard]] bool handOver(const Wish& wish) const;
    /// From now on wishes of later starts are heard; false where there can be no socket.
    bool listen();

signals:
    void wished(const anodex::app::OneWindow::Wish& wish);

private:
    void hear();

    QString m_socket;
    QLocalServer m_server;
};

} // namespace anodex::app
