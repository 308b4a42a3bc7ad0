// SPDX-License-Identifier: GPL-3.0-or-later
// The print that is being handed over to a printer, one at a time; it outlives a window that was killed.
#pragma once

#include "app/window/printer_line.hpp"
#include "core/base/error.hpp"

#include <QLockFile>
#include <QObject>
#include <QPointer>
#include <QProcess>
#include <QThread>

#include <deque>
#include <optional>

namespace trellis {

// What a print is handed over with.
struct Handing {
  QString port;  // a device, "host:port", or benchPrinter
  std::string gcode;
  std::string code;  // of the version
  QString title;
  double acceleration = 1500;  // mm/s², where the text sets none
  double timeFactor = 1;
};

class Handover : public QObject {
  Q_OBJECT
 public:
  static const QString benchPrinter;  // a port that stands for the stand-in, which is started then

  explicit Handover(QObject* parent = nullptr);
  ~Handover() override;

  void setBenchTimes(int times) { benchTimes_ = times; }  // how much faster than a printer the stand-in is
  // Throws Error when the text cannot be read, there is no such printer, or another window hands a print over.
  void begin(const Handing& handing);
  void pause() { act(&Sender::pause); }
  void resume() { act(&Sender::resume); }
  void cancel() { act(&Sender::cancel); }
  void emergency() { act(&Sender::emergency); }

  bool isUnderWay() const;
  const std::optional<HandoverStatus>& status() const { return status_; }  // none: nothing was handed over yet
  const std::string& code() const { return handing_.code; }
  double took() const;  // s of printing so far, by the printer's own clock
  const QString& title() const { return handing_.title; }
  const PrintJobPtr& job() const { return job_; }
  // Of the last minutes, a reading a second or so.
  struct Reading {
    double at;  // s
    Heat heat;
  };
  const std::deque<Reading>& readings() const { return readings_; }

  // A print that was under way when a window ended without a word; what was it, and where.
  struct Left {
    QString title, port;
    std::string code;
  };
  std::optional<Left> left() const;
  void follow();  // it
  void forget();

 Q_SIGNALS:
  void changed();
  void ended(bool done);

 private:
  void start(Sender sender, const QString& port);
  void act(void (Sender::*what)());
  void take(const HandoverStatus& status, const HandoverMemory& memory);
  void keep(const HandoverMemory& memory);
  QString portOf(const QString& port);
  void takeLock();

  QLockFile lock_;  // of the note of the print under way: the one window that hands it over
  Handing handing_;
  PrintJobPtr job_;
  std::optional<HandoverStatus> status_;
  std::deque<Reading> readings_;
  HandoverMemory memory_;
  QThread thread_;
  QPointer<PrinterLine> line_;
  std::unique_ptr<QProcess> bench_;
  int benchTimes_ = 60;
  double haste_ = 1;  // of the printer's clock over ours
  QElapsedTimer clock_;
};

}  // namespace trellis
