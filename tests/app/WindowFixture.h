// tests/app/WindowFixture.h - the real main window on a notebook of its own, driven by mouse and keys.
#pragma once
#include "app/frame/MainWindow.h"
#include "app/frame/MessageStrip.h"
#include "app/widgets/picture/Picture.h"
#include "tests/support/Samples.h"

#include <QApplication>
#include <QLineEdit>
#include <QTest>
#include <algorithm>
#include <gtest/gtest.h>
#include <memory>

namespace anodex::app {

class WindowTest : public testing::Test {
protected:
    WindowTest() {
        m_services.now = [this] { return m_now += 1000; };
        m_services.chooseOpen = [this](const QString&, const QString&) { return m_fileToOpen; };
        m_services.chooseSave = [this](const QString&, const QString&) { return m_fileToSave; };
        m_services.documentsFolder = QString::fromStdString(m_folder.path("documents").string());
        m_services.motion = false;
        m_services.faulted = [](const QString& law) { ADD_FAILURE() << "a fault of " << law.toStdString(); };
        m_services.log = std::make_shared<Log>(m_folder.path("state/anodex.log").string());
        start();
    }

    /// Opens the window anew, as after quitting.
    void start(const QString& notebook = {}) {
        m_window.reset();
        m_bench.reset();
        Aside::awaitAll();
        m_bench = std::make_unique<Workbench>(test::catalogue(), m_services);
        m_theme.apply(*qApp, ThemeChoice::Light);
        m_window = std::make_unique<MainWindow>(*m_bench, m_theme);
        m_window->show();
        EXPECT_TRUE(QTest::qWaitForWindowExposed(m_window.get()));
        QApplication::setActiveWindow(m_window.get()); // there may be no window manager to do it
        if (!notebook.isEmpty()) {
            EXPECT_TRUE(m_bench->files().open(notebook, false));
        }
    }

    void openDemo() {
        EXPECT_TRUE(m_window->openDemo());
        waitForRuns();
    }
    /// Runs are read aside.
    void waitForRuns() {
        EXPECT_TRUE(QTest::qWaitFor([this] {
            return std::none_of(m_bench->contents().builds.begin(), m_bench->contents().builds.end(),
                                [](const BuildSummary& build) { return build.readingRuns; });
        }));
    }

    /// A run is stored between other things.
    bool stored() {
        return QTest::qWaitFor([this] { return !m_bench->runImport().isBusy(); }, 8000);
    }

    template <typename T> T* find(const QString& name) {
        T* found = m_window->findChild<T*>(name);
        EXPECT_NE(found, nullptr) << name.toStdString();
        return found;
    }
    Picture* picture(const QString& name) { return find<Picture>(name); }

    void go(int number) {
        QTest::keyClick(m_window.get(), static_cast<Qt::Key>(Qt::Key_0 + number), Qt::AltModifier);
    }

    /// A click in the middle of an item of a picture.
    void click(Picture* picture, const QString& id) {
        const PictureItem* item = picture->item(id);
        ASSERT_NE(item, nullptr) << id.toStdString();
        QTest::mouseClick(picture, Qt::LeftButton, {}, item->area.center().toPoint());
    }
    void drag(Picture* picture, const QString& id, QPoint by) {
        const PictureItem* item = picture->item(id);
        ASSERT_NE(item, nullptr) << id.toStdString();
        const QPoint from = item->area.center().toPoint();
        QTest::mousePress(picture, Qt::LeftButton, {}, from);
        for (int i = 1; i <= 5; ++i) {
            QTest::mouseMove(picture, from + by * i / 5);
            QMouseEvent move(QEvent::MouseMove, from + by * i / 5, picture->mapToGlobal(from + by * i / 5),
                             Qt::NoButton, Qt::LeftButton, {});
            QApplication::sendEvent(picture, &move);
        }
        QTest::mouseRelease(picture, Qt::LeftButton, {}, from + by);
    }
    /// Types into a field as a person would, replacing what stands there.
    void type(QLineEdit* field, const QString& text, bool enter = true) {
        field->setFocus();
        field->selectAll();
        QTest::keyClicks(field, text);
        if (enter) {
            QTest::keyClick(field, Qt::Key_Return);
        }
    }
    /// Where keys go now.
    QWidget* focused() {
        QWidget* at = QApplication::focusWidget();
        return at != nullptr ? at : m_window.get();
    }
    QString message() { return m_window->strip()->text(); }
    double openCircuit() { return m_bench->draft().outcome().evaluation->openCircuitVolts; }

    test::TemporaryFolder m_folder;
    Aside::AwaitAll m_last; ///< Before the folder goes.
    record::Millis m_now = 1'790'000'000'000;
    QString m_fileToOpen;
    QString m_fileToSave;
    Services m_services;
    Theme m_theme;
    std::unique_ptr<Workbench> m_bench;
    std::unique_ptr<MainWindow> m_window;
};

} // namespace anodex::app
