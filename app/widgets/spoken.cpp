// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/spoken.hpp"

#include <QCoreApplication>

namespace trellis {

QString spoken(const std::string& words) { return QCoreApplication::translate("core", words.c_str()); }

}  // namespace trellis
