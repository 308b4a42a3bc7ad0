// SPDX-License-Identifier: GPL-3.0-or-later
// The row of switches over the scene while single layers are looked at.
#pragma once

#include "app/scene/layer_lines.hpp"

#include <QFrame>

class QComboBox;
class QHBoxLayout;
class QLabel;
class QToolButton;

namespace trellis {

class LayerSwitches : public QFrame {
  Q_OBJECT
 public:
  LayerSwitches(Builder& builder, View& view, QWidget* parent);
  const LayerLook& look() const { return look_; }
  // Says what the palest and the darkest lines are, where speed or flow is shown.
  void setLegend(const Spread& spread);

 Q_SIGNALS:
  void changed();
  void fromAboveAsked();
  void playAsked();
  void hasteChosen(double times);  // as fast as printed

 private:
  void add(const QString& words, const QString& name, const QString& tip, bool LayerLook::*which);
  void refresh();

  Builder& builder_;
  View& view_;
  LayerLook look_;
  QHBoxLayout* line_ = nullptr;  // that is being filled
  QToolButton* bearings_ = nullptr;
  QLabel *least_ = nullptr, *ramp_ = nullptr, *most_ = nullptr;
};

}  // namespace trellis
