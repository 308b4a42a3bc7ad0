// SPDX-License-Identifier: GPL-3.0-or-later
// The language of the window.
#pragma once

#include <QString>

class QApplication;

namespace trellis {

// Where translations lie: beside the program, as when it is installed.
QString translationFile(const QString& language);

// The code of the language that the window speaks now, such as "de".
QString windowLanguage();

// wanted: a code such as "de"; empty: as chosen in the window, or else as the desktop has it. English where there is no
// translation. Numbers on the screen are the locale's; those in files never are.
void installLanguage(QApplication& app, const QString& wanted);

}  // namespace trellis
