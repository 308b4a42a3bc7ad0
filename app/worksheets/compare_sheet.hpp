// SPDX-License-Identifier: GPL-3.0-or-later
// Two ways beside each other, a better one found, small test prints, and what was learnt from them.
#pragma once

#include "app/window/comparer.hpp"
#include "app/window/handover.hpp"
#include "app/window/notes.hpp"
#include "app/window/sweeper.hpp"
#include "app/worksheets/worksheet.hpp"

class QButtonGroup;
class QStackedWidget;

namespace trellis {

class PrintPage;
class VariantPage;

// What compares, searches, remembers and prints.
struct Bench {
  Comparer& comparer;
  Sweeper& sweeper;
  Notes& notes;
  Handover& handover;
};

class CompareSheet : public Worksheet {
  Q_OBJECT
 public:
  CompareSheet(Document& document, Builder& builder, View& view, Activity& activity, const Bench& bench);
  void showPage(int page);
  VariantPage& variants() { return *variants_; }
  PrintPage& prints() { return *prints_; }

 private:
  VariantPage* variants_;
  PrintPage* prints_;
  QButtonGroup* pages_;
  std::vector<QWidget*> shown_;
};

}  // namespace trellis
