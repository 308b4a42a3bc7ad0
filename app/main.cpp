// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/scene/scene_view.hpp"
#include "app/theme/language.hpp"
#include "app/theme/theme.hpp"
#include "app/window/main_window.hpp"
#include "app/window/shots.hpp"

#include <QApplication>
#include <QCommandLineParser>
#include <QTemporaryDir>
#include <QTimer>

int main(int argc, char** argv) {
  trellis::askForOpenGl();
  QApplication app(argc, argv);
  QCoreApplication::setOrganizationName("meek-trellis");
  QCoreApplication::setApplicationName("meek-trellis");
  QCoreApplication::setApplicationVersion(TRELLIS_VERSION);
  QCommandLineParser parser;
  parser.setApplicationDescription("Decide where support goes, and see it at once.");
  parser.addHelpOption();
  parser.addVersionOption();
  parser.addPositionalArgument("file", "a mesh (STL, OBJ, PLY, OFF, 3MF, AMF) or a project");
  const QCommandLineOption shots("shots", "Write pictures of the main views into a folder and quit.", "folder");
  parser.addOption(shots);
  const QCommandLineOption size("size", "How large the window is at first.", "width>x<height");
  parser.addOption(size);
  const QCommandLineOption language("language", "The window's language: en or de; else as chosen in it.", "code");
  parser.addOption(language);
  parser.process(app);
  trellis::installTheme(app);
  trellis::installLanguage(app, parser.value(language));
  const QTemporaryDir ofItsOwn;  // pictures show nothing of what somebody left behind
  if (parser.isSet(shots))
    for (const char* folder : {"XDG_STATE_HOME", "XDG_DATA_HOME"}) qputenv(folder, ofItsOwn.path().toUtf8());
  trellis::MainWindow window;
  if (parser.isSet(size))
    window.resize(parser.value(size).section('x', 0, 0).toInt(), parser.value(size).section('x', 1, 1).toInt());
  else if (parser.isSet(shots))
    window.resize(1280, 800);
  window.show();
  const QStringList files = parser.positionalArguments();
  for (int i = 0; i < files.size(); ++i) window.document().open(files[i], i > 0);
  if (parser.isSet(shots)) {
    int result = 0;
    QTimer::singleShot(0, &window, [&] {
      result = trellis::takeShots(window, parser.value(shots));
      window.document().letGo();
      QCoreApplication::exit(result);
    });
    app.exec();
    return result;
  }
  return app.exec();
}
