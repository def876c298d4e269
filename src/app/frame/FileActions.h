// src/app/frame/FileActions.h - what is done with files from the drawer: notebooks, designs, backups, the
// log.
#pragma once
#include "app/session/RecentNotebooks.h"
#include "app/session/Workbench.h"
#include <QObject>

namespace anodex::app {

class FileActions : public QObject {
    Q_OBJECT
public:
    explicit FileActions(Workbench& bench, QObject* parent);

    void openNotebook();
    /// This one, where it was left.
    void open(const QString& path);
    /// But for the open one, newest first.
    [[nodiscard]] QStringList recentNotebooks() const;
    void newNotebook();
    /// Opens a fresh, marked copy of the demo notebook, unless one is open.
    bool openDemo();
    void keepDemo();
    void saveCopy();
    void restoreBackup();
    void rescueNotebook();
    /// A design of its own in this notebook, from a cell file.
    void openDesign();
    void openDesign(const QString& path);
    void saveDesign();
    void showLog();

signals:
    /// Show this station of what is open now.
    void stationAsked(const QString& id);
    void refused(const QString& text);
    void said(const QString& text);

private:
    void remember();

    Workbench& m_bench;
    RecentNotebooks m_recent;
};

} // namespace anodex::app
