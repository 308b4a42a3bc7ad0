// SPDX-License-Identifier: GPL-3.0-or-later
// The line along the bottom: hours, filament by use, money, findings; opens upward into the breakdown.
#pragma once

#include "app/window/activity.hpp"
#include "app/window/builder.hpp"
#include "app/window/document.hpp"

#include <QFrame>

class QLabel;
class QProgressBar;
class QPushButton;
class QToolButton;

namespace trellis {

class TallyBar : public QFrame {
  Q_OBJECT
 public:
  TallyBar(Document& document, Builder& builder, Activity& activity, QWidget* parent = nullptr);
  void toggleBreakdown();
  void pin();  // keeps the present tally to compare against

 Q_SIGNALS:
  void findingsAsked();

 private:
  void refresh();
  void refreshBreakdown();
  void showProgress(double fraction, const QString& stage);

  Document& document_;
  Builder& builder_;
  struct Pinned {
    double seconds, grams;
  };
  std::optional<Pinned> pinned_;
  QLabel *time_, *filament_, *money_, *breakdown_, *stage_;
  QWidget* bar_;
  QProgressBar* progress_;
  QPushButton *cancel_, *pin_;
  QToolButton *open_, *findings_;
};

// "3 h 42 min", "12 min", "40 s".
QString durationWords(double seconds);

}  // namespace trellis
