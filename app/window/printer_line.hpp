// SPDX-License-Identifier: GPL-3.0-or-later
// The wire to a printer, and the sender at our end of it, on a thread of their own: what the window does never makes
// the printer wait.
#pragma once

#include "core/handover/sender.hpp"

#include <QElapsedTimer>
#include <QIODevice>
#include <QObject>
#include <QTimer>

#include <memory>

namespace trellis {

class PrinterLine : public QObject {
  Q_OBJECT
 public:
  // port: a serial port's device, or "host:port".
  PrinterLine(QString port, Sender sender);

  // From any thread; done in turn on this one's.
  void begin();
  void act(void (Sender::*what)());

 Q_SIGNALS:
  // At most ten times a second, and whenever the state is another.
  void told(const trellis::HandoverStatus& status, const trellis::HandoverMemory& memory);

 private:
  void open();
  void turn();
  void lost();
  double now() const { return static_cast<double>(clock_.nsecsElapsed()) / 1e9; }
  void tell(bool always);

  QString port_;
  Sender sender_;
  std::unique_ptr<QIODevice> device_;
  QTimer* timer_ = nullptr;
  QElapsedTimer clock_;
  double toldAt_ = -1, openedAt_ = -1e9;
  HandoverState told_ = HandoverState::done;
};

// Serial ports that there are, by device.
QStringList serialPorts();

}  // namespace trellis
