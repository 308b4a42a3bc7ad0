// SPDX-License-Identifier: GPL-3.0-or-later
// The line along the bottom: hours, filament by use, money, findings; opens upward into the breakdown.
#pragma once

#include "app/window/activity.hpp"
#include "app/window/builder.hpp"
#include "app/window/document.hpp"
#include "app/window/notes.hpp"

#include <QFrame>

class QLabel;
class QProgressBar;
class QPushButton;
class QToolButton;

namespace trellis {

class TallyBar : public QFrame {
  Q_OBJECT
 public:
  TallyBar(Document& document, Builder& builder, Activity& activity, Notes& notes, QWidget* parent = nullptr);
  void toggleBreakdown();
  void pin();  // keeps what is there as a variant, and shows the difference from it until it is let go

 Q_SIGNALS:
  void findingsAsked();

 protected:
  void resizeEvent(QResizeEvent* event) override;

 private:
  void refresh();
  void refreshBreakdown();
  void showProgress(double fraction, const QString& stage);

  Document& document_;
  Builder& builder_;
  Notes& notes_;
  struct Pinned {
    double seconds, grams, support, cost, removal;
  };
  Pinned figuresNow() const;
  void fitWords();
  QString byYourPrints(double seconds) const;
  std::optional<Pinned> pinned_;
  QLabel *time_, *filament_, *money_, *breakdown_, *stage_;
  QStringList filamentWords_;  // from the fullest to the shortest
  QWidget* bar_;
  QProgressBar* progress_;
  QPushButton *cancel_, *pin_;
  QToolButton *open_, *findings_;
};

// "3 h 42 min", "12 min", "40 s".
QString durationWords(double seconds);

}  // namespace trellis
