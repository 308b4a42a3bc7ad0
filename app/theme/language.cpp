// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/theme/language.hpp"

#include <QApplication>
#include <QDir>
#include <QLibraryInfo>
#include <QLocale>
#include <QSettings>
#include <QTranslator>

namespace trellis {

QString translationFile(const QString& language) {
  return QDir::cleanPath(QCoreApplication::applicationDirPath() + "/../share/meek-trellis-words/meek-trellis_" +
                         language + ".qm");
}

QString windowLanguage() { return QLocale().name().section('_', 0, 0); }

void installLanguage(QApplication& app, const QString& wanted) {
  const QString chosen = wanted.isEmpty() ? QSettings().value("language").toString() : wanted;
  const QLocale locale = chosen.isEmpty() ? QLocale::system() : QLocale(chosen);
  QLocale::setDefault(locale);
  const QString code = windowLanguage();
  auto* dialogs = new QTranslator(&app);  // Qt's own words, where its translations are installed
  if (dialogs->load("qtbase_" + code, QLibraryInfo::path(QLibraryInfo::TranslationsPath)))
    app.installTranslator(dialogs);
  auto* words = new QTranslator(&app);
  if (words->load(translationFile(code))) app.installTranslator(words);
}

}  // namespace trellis
