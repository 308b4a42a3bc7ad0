// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/printer_line.hpp"

#include <QFileInfo>
#include <QSerialPort>
#include <QSerialPortInfo>
#include <QTcpSocket>

namespace trellis {

namespace {

constexpr int tick = 5;            // ms between looks at the clock; what arrives is read at once
constexpr double again = 1;        // s between tries to open the wire
constexpr double tellEvery = 0.1;  // s
constexpr int baud = 115200;       // common practice

}  // namespace

PrinterLine::PrinterLine(QString port, Sender sender) : port_(std::move(port)), sender_(std::move(sender)) {}

void PrinterLine::begin() {
  QMetaObject::invokeMethod(this, [this] {
    clock_.start();
    timer_ = new QTimer(this);
    timer_->setInterval(tick);
    connect(timer_, &QTimer::timeout, this, &PrinterLine::turn);
    timer_->start();
    open();
  });
}

void PrinterLine::act(void (Sender::*what)()) {
  QMetaObject::invokeMethod(this, [this, what] {
    (sender_.*what)();
    turn();
    tell(true);
  });
}

void PrinterLine::open() {
  openedAt_ = now();
  const qsizetype colon = port_.lastIndexOf(':');
  if (colon > 0 && !port_.startsWith('/')) {
    auto socket = std::make_unique<QTcpSocket>();
    socket->connectToHost(port_.left(colon), static_cast<quint16>(port_.mid(colon + 1).toUInt()));
    connect(socket.get(), &QTcpSocket::disconnected, this, &PrinterLine::lost, Qt::QueuedConnection);
    connect(socket.get(), &QTcpSocket::errorOccurred, this, &PrinterLine::lost, Qt::QueuedConnection);
    if (socket->waitForConnected(1000)) {
      socket->setSocketOption(QAbstractSocket::LowDelayOption, 1);
      device_ = std::move(socket);
    }
  } else {
    auto serial = std::make_unique<QSerialPort>(QFileInfo(port_).canonicalFilePath());
    serial->setBaudRate(baud);
    connect(
        serial.get(), &QSerialPort::errorOccurred, this,
        [this](QSerialPort::SerialPortError error) {
          if (error == QSerialPort::ResourceError) lost();
        },
        Qt::QueuedConnection);
    if (serial->open(QIODevice::ReadWrite)) device_ = std::move(serial);
  }
  if (!device_) return sender_.wireLost();
  connect(device_.get(), &QIODevice::readyRead, this, &PrinterLine::turn);
  sender_.wireBack();
  turn();
}

void PrinterLine::lost() {
  if (!device_) return;
  device_->disconnect(this);
  device_.release()->deleteLater();
  sender_.wireLost();
  tell(true);
}

void PrinterLine::turn() {
  if (!device_) {
    if (now() - openedAt_ > again && !sender_.isOver()) open();
    return tell(false);
  }
  if (const QByteArray bytes = device_->readAll(); !bytes.isEmpty())
    sender_.read({bytes.constData(), static_cast<std::size_t>(bytes.size())}, now());
  if (const std::string bytes = sender_.toWrite(now()); !bytes.empty())
    device_->write(bytes.data(), static_cast<qint64>(bytes.size()));
  tell(false);
}

void PrinterLine::tell(bool always) {
  const HandoverStatus& status = sender_.status();
  if (!always && status.state == told_ && now() - toldAt_ < tellEvery) return;
  if (sender_.isOver() && status.state == told_) return;
  toldAt_ = now();
  told_ = status.state;
  Q_EMIT told(status, sender_.memory());
}

QStringList serialPorts() {
  QStringList ports;
  for (const QSerialPortInfo& port : QSerialPortInfo::availablePorts()) ports << port.systemLocation();
  return ports;
}

}  // namespace trellis
