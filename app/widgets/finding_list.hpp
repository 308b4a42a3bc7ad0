// SPDX-License-Identifier: GPL-3.0-or-later
// Findings by severity. One of them is open: the worst, until another is chosen.
#pragma once

#include "app/widgets/finding_card.hpp"

namespace trellis {

class FindingList : public QWidget {
  Q_OBJECT
 public:
  FindingList(Document& document, Builder& builder, View& view, QWidget* parent = nullptr);

 private:
  void refresh();
  void open(const FindingCard* card);

  Document& document_;
  Builder& builder_;
  View& view_;
  QVBoxLayout* column_;
  std::pair<std::string, int> opened_;  // code and part of what the maker chose last
};

}  // namespace trellis
