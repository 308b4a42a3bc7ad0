// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/notes.hpp"

#include <QBuffer>
#include <QFileInfo>
#include <QImageReader>

#include <algorithm>

namespace trellis {

namespace {

constexpr int widestPicture = 2000;  // pixels

}  // namespace

Notes::Notes(Document& document, QObject* parent) : QObject(parent), document_(document) {}

std::vector<BenchNote> Notes::ofThese() const {
  const ChosenSets& sets = document_.project()->sets;
  return notes_.of(sets.machine.name, sets.filament.name);
}

std::vector<BenchNote> Notes::ofMachine() const {
  std::vector<BenchNote> some;
  for (const BenchNote& note : notes_.all())
    if (note.machine == document_.project()->sets.machine.name) some.push_back(note);
  return some;
}

BenchNote Notes::noteOf(const Version& version) const {
  const ChosenSets& sets = version.project->sets;
  if (const BenchNote* known = notes_.ofVersion(version.code, sets.machine.name, sets.filament.name)) return *known;
  BenchNote note{version.code,       version.date,    sets.machine.name,
                 sets.filament.name, sets.print.name, QFileInfo(document_.path()).fileName().toStdString()};
  note.ladder = ladderIn(*version.project);
  for (const PartPtr& part : version.project->parts) {
    Outcome outcome{part->name};
    if (note.ladder) outcome.figure = rungFigure(note.ladder->kind, part->name);
    note.outcomes.push_back(std::move(outcome));
  }
  if (const auto known = measured_.find(version.code); known != measured_.end()) note.seconds = known->second;
  return note;
}

void Notes::measure(const std::string& code, double seconds) {
  measured_[code] = seconds;
  Q_EMIT measured(code);
}

void Notes::keep(const BenchNote& note) {
  notes_.keep(note);
  Q_EMIT changed();
}

void Notes::addPicture(BenchNote& note, const QString& path) {
  QImageReader reader(path);
  reader.setAutoTransform(true);
  const QSize size = reader.size();
  if (size.isValid() && std::max(size.width(), size.height()) > widestPicture)
    reader.setScaledSize(size.scaled(widestPicture, widestPicture, Qt::KeepAspectRatio));
  const QImage picture = reader.read();
  if (picture.isNull())
    throw Error(QFileInfo(path).fileName().toStdString() + " cannot be read as a picture. Take a PNG or JPEG file.");
  QByteArray bytes;
  QBuffer buffer(&bytes);
  buffer.open(QIODevice::WriteOnly);
  picture.save(&buffer, picture.hasAlphaChannel() ? "PNG" : "JPG", 88);
  note.pictures.push_back(notes_.takePicture(note, bytes.toStdString(), QFileInfo(path).fileName().toStdString()));
}

void Notes::writeTo(const QString& path) const {
  const ChosenSets& sets = document_.project()->sets;
  notes_.writeTo(path.toStdString(), sets.machine.name, sets.filament.name);
}

std::size_t Notes::takeFrom(const QString& path) {
  const std::size_t taken = notes_.takeFrom(path.toStdString());
  Q_EMIT changed();
  return taken;
}

void Notes::learn(BenchNote note) {
  const std::optional<double> best = bestRung(note);
  const std::string key = note.ladder ? settingLearnt(note.ladder->kind) : "";
  if (!best || key.empty()) throw Error("No rung of this note can be kept as a figure.");
  const Learnt learnt{settingRow(key).key, *best};
  std::erase_if(note.learnt, [&](const Learnt& one) { return one.key == learnt.key; });
  note.learnt.push_back(learnt);
  // What a filament may not say is the print's.
  const SetKind kind = mayHold(SetKind::filament, learnt.key) ? SetKind::filament : SetKind::print;
  const std::string& name = kind == SetKind::filament ? note.filament : note.print;
  KeptSet set = document_.library().named(kind, name);
  set.values.insert_or_assign(learnt.key, learnt.value);
  notes_.keep(note);
  if (document_.project()->sets.of(kind).name == name) {
    document_.keepSet(set);  // and chooses it
    document_.perform(ChangeSetting{learnt.key, learnt.value});
  } else {
    document_.keepSetAside(set);
  }
  Q_EMIT changed();
}

}  // namespace trellis
