// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/handover.hpp"

#include "core/base/files.hpp"
#include "core/base/user_folder.hpp"

#include <QCoreApplication>
#include <QTcpServer>
#include <nlohmann/json.hpp>

#include <algorithm>

namespace trellis {

namespace {

constexpr double remembered = 600;   // s of readings
constexpr int benchPatience = 1800;  // s that the stand-in waits for a window to find it again

std::filesystem::path folder() { return userFolder("XDG_STATE_HOME", ".local/state") / "handover"; }
std::filesystem::path noteFile() { return folder() / "print.json"; }
std::filesystem::path textFile() { return folder() / "print.gcode"; }

// A port of this machine that nobody listens at.
quint16 freePort() {
  QTcpServer probe;
  probe.listen(QHostAddress::LocalHost);
  return probe.serverPort();
}

}  // namespace

const QString Handover::benchPrinter = "bench";

Handover::Handover(QObject* parent)
    : QObject(parent), lock_(QString::fromStdString((folder() / "print.lock").string())) {
  lock_.setStaleLockTime(0);  // held as long as its process lives, however long the print takes
  qRegisterMetaType<HandoverStatus>("trellis::HandoverStatus");
  qRegisterMetaType<HandoverMemory>("trellis::HandoverMemory");
  clock_.start();
}

Handover::~Handover() {
  if (line_) line_->deleteLater();
  thread_.quit();
  thread_.wait();
  if (bench_) bench_->kill();
  if (bench_) bench_->waitForFinished(1000);
}

bool Handover::isUnderWay() const {
  return status_ && status_->state != HandoverState::done && status_->state != HandoverState::cancelled &&
         status_->state != HandoverState::failed;
}

double Handover::took() const { return status_ ? status_->took * haste_ : 0; }

// Starts the stand-in where that is what is meant.
QString Handover::portOf(const QString& port) {
  haste_ = 1;
  if (port != benchPrinter) return port;
  haste_ = benchTimes_;
  const QString name = QString("localhost:%1").arg(freePort());
  bench_ = std::make_unique<QProcess>();
  bench_->start(QCoreApplication::applicationDirPath() + "/meek-bench-printer",
                {"--tcp", name.section(':', 1), "--times", QString::number(benchTimes_), "--heats-in",
                 QString::number(2 * benchTimes_ / 3), "--ends-after", QString::number(benchPatience)});
  if (!bench_->waitForStarted(3000) || !bench_->waitForReadyRead(3000))
    throw Error("The bench printer cannot be started: it belongs beside the program and is not there.");
  return name;
}

void Handover::takeLock() {
  std::filesystem::create_directories(folder());
  if (!lock_.isLocked() && !lock_.tryLock())
    throw Error("Another window is handing a print over. Let it end, or cancel it there.");
}

void Handover::begin(const Handing& handing) {
  takeLock();
  job_ = printJob(handing.gcode, handing.acceleration, {});
  handing_ = handing;
  handing_.port = portOf(handing.port);
  SenderRules rules;
  rules.timeFactor = handing.timeFactor;
  writeFileAtomically(textFile(), handing.gcode);
  keep({});
  start(Sender(job_, rules), handing_.port);
}

void Handover::start(Sender sender, const QString& port) {
  if (line_) line_->deleteLater();
  readings_.clear();
  status_ = sender.status();
  line_ = new PrinterLine(port, std::move(sender));
  line_->moveToThread(&thread_);
  thread_.start();
  connect(line_, &PrinterLine::told, this, &Handover::take);
  line_->begin();
  Q_EMIT changed();
}

void Handover::act(void (Sender::*what)()) {
  if (line_) line_->act(what);
}

void Handover::take(const HandoverStatus& status, const HandoverMemory& memory) {
  if (sender() != line_) return;
  const bool was = isUnderWay();
  status_ = status;
  const double at = static_cast<double>(clock_.elapsed()) / 1000;
  if (status.heat && (readings_.empty() || at - readings_.back().at >= 0.5)) readings_.push_back({at, *status.heat});
  while (!readings_.empty() && at - readings_.front().at > remembered) readings_.pop_front();
  if (memory.extra != memory_.extra || memory.paused != memory_.paused) keep(memory);
  if (was && !isUnderWay()) {
    forget();
    Q_EMIT ended(status.state == HandoverState::done);
  }
  Q_EMIT changed();
}

// Written whenever it is another, so that a window that is killed loses nothing.
void Handover::keep(const HandoverMemory& memory) {
  memory_ = memory;
  const nlohmann::json json{{"port", handing_.port.toStdString()},
                            {"code", handing_.code},
                            {"title", handing_.title.toStdString()},
                            {"acceleration", handing_.acceleration},
                            {"time_factor", handing_.timeFactor},
                            {"extra", memory.extra},
                            {"paused", memory.paused}};
  writeFileAtomically(noteFile(), json.dump(1));
}

std::optional<Handover::Left> Handover::left() const {
  if (isUnderWay() || !std::filesystem::exists(noteFile())) return std::nullopt;
  if (!lock_.isLocked()) {
    QLockFile others(lock_.fileName());
    others.setStaleLockTime(0);
    if (!others.tryLock()) return std::nullopt;  // it goes on in another window
  }
  try {
    const nlohmann::json json = nlohmann::json::parse(readFile(noteFile()));
    return Left{QString::fromStdString(json.at("title")), QString::fromStdString(json.at("port")), json.at("code")};
  } catch (const std::exception&) {
    return std::nullopt;  // a note that cannot be read is of no use to anybody
  }
}

void Handover::follow() {
  takeLock();
  const nlohmann::json json = nlohmann::json::parse(readFile(noteFile()));
  handing_ = {QString::fromStdString(json.at("port")),  readFile(textFile()),    json.at("code"),
              QString::fromStdString(json.at("title")), json.at("acceleration"), json.at("time_factor")};
  job_ = printJob(handing_.gcode, handing_.acceleration, {});
  memory_ = {json.at("extra"), json.at("paused")};
  SenderRules rules;
  rules.timeFactor = handing_.timeFactor;
  start(Sender(job_, memory_, rules), handing_.port);
}

void Handover::forget() {
  std::error_code ignored;  // what is not there need not be removed
  std::filesystem::remove(noteFile(), ignored);
  std::filesystem::remove(textFile(), ignored);
  lock_.unlock();
}

}  // namespace trellis
