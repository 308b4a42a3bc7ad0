// SPDX-License-Identifier: GPL-3.0-or-later
// How warm nozzle and plate are, and how warm they are to be: two small curves over the last minutes.
#pragma once

#include "app/window/handover.hpp"

#include <QWidget>

namespace trellis {

class HeatCurves : public QWidget {
  Q_OBJECT
 public:
  explicit HeatCurves(const Handover& handover, QWidget* parent = nullptr);

 protected:
  void paintEvent(QPaintEvent* event) override;

 private:
  const Handover& handover_;
};

}  // namespace trellis
