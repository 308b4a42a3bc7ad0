// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/theme/spoken.hpp"

#include "core/base/error.hpp"

#include <QCoreApplication>
#include <QLocale>

namespace trellis {

QString spoken(const std::string& words) { return QCoreApplication::translate("core", words.c_str()); }

QString spoken(const Sentence& sentence) {
  const auto translated = [](const std::string& words) { return spoken(words).toStdString(); };
  return QString::fromStdString(sentence.in(translated, QLocale().decimalPoint().front().toLatin1()));
}

QString spoken(const std::exception& error) { return spoken(sentenceOf(error)); }

QString inFigures(double value, int decimals) {
  QLocale locale;
  locale.setNumberOptions(QLocale::OmitGroupSeparator);
  return locale.toString(value, 'f', decimals);
}

}  // namespace trellis
