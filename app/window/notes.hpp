// SPDX-License-Identifier: GPL-3.0-or-later
// The maker's bench notes, and what was learnt of the machine and filament in hand.
#pragma once

#include "app/window/document.hpp"
#include "core/learn/learnt.hpp"

#include <map>

namespace trellis {

class Notes : public QObject {
  Q_OBJECT
 public:
  explicit Notes(Document& document, QObject* parent = nullptr);

  const BenchNotes& all() const { return notes_; }
  std::vector<BenchNote> ofThese() const;  // of the machine and filament in hand
  std::vector<BenchNote> ofMachine() const;
  // The note of a version, or an empty one for it.
  BenchNote noteOf(const Version& version) const;
  // How long a print took that was followed to its end, s: what its note begins with.
  void measure(const std::string& code, double seconds);

  // Each throws Error when it cannot be done.
  void keep(const BenchNote& note);
  void addPicture(BenchNote& note, const QString& path);  // scaled to at most 2000 pixels
  void writeTo(const QString& path) const;
  std::size_t takeFrom(const QString& path);
  // The best rung of a note becomes its filament's figure, here and for what comes.
  void learn(BenchNote note);

 Q_SIGNALS:
  void changed();
  void measured(const std::string& code);

 private:
  Document& document_;
  BenchNotes notes_;
  std::map<std::string, double> measured_;  // s, by the version's code
};

}  // namespace trellis
