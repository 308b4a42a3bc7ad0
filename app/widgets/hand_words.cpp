// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/hand_words.hpp"

namespace trellis {

QString handWords(const Brush& brush) {
  const QString view =
      QObject::tr(" The right button turns the view, the middle one or Space moves it, the wheel zooms.");
  const QString lays = brush.coat == Coat::clean     ? QObject::tr("keeps clean what it touches")
                       : brush.coat == Coat::seen    ? QObject::tr("marks what will be seen")
                       : brush.mark == Mark::enforce ? QObject::tr("enforces")
                       : brush.mark == Mark::block   ? QObject::tr("blocks")
                                                     : QObject::tr("clears");
  switch (brush.tool) {
    case Tool::ball:
    case Tool::sight:
    case Tool::face:
    case Tool::site:
      return QObject::tr("The left button %1, with Shift it blocks, with Ctrl it clears.").arg(lays) + view;
    case Tool::band:
      return QObject::tr("Press at one height and release at the other: %1 what is between.").arg(lays) + view;
    case Tool::zone:
      return QObject::tr("The left button puts a zone where you click. Then drag its handles.") + view;
    case Tool::prop:
      return QObject::tr(
                 "The left button puts a prop under the place you click, from below, from the side or from above; keep "
                 "it pressed to move it.") +
             view;
    case Tool::remove:
      return QObject::tr("Point at a support: what is lit goes with a click.") + view;
    case Tool::measure:
      return QObject::tr(
                 "Click two places: their distance stays until it is cleared. Near a corner, the corner is meant.") +
             view;
    case Tool::pick:
      break;
  }
  return QObject::tr("The left button selects a part, a zone or a prop, and drags handles.") + view +
         QObject::tr(" C cuts the part open at the pointer.");
}

}  // namespace trellis
