// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/preview_bar.hpp"

#include "app/theme/spoken.hpp"
#include "core/assess/report.hpp"

#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>

namespace trellis {

PreviewBar::PreviewBar(Document& document, Builder& builder, View& view, QWidget* parent)
    : SceneCard(parent), document_(document), builder_(builder), view_(view) {
  setObjectName("trial");
  auto* line = new QHBoxLayout(this);
  line->setContentsMargins(12, 6, 8, 6);
  words_ = new QLabel;
  auto* keep = new QPushButton(tr("Keep"));
  keep->setObjectName("keep");
  keep->setToolTip(tr("Makes a step of it, which can be undone. Ctrl+Enter."));
  auto* leave = new QPushButton(tr("Leave as it was"));
  leave->setObjectName("leave");
  leave->setToolTip(tr("Everything is as it was before. Esc."));
  auto* beside = new QPushButton(tr("Keep as a variant"));
  beside->setObjectName("keepAsVariant");
  beside->setToolTip(tr("What was there stays as it is, as a variant of its own; this one is gone on with."));
  line->addWidget(words_);
  line->addWidget(keep);
  line->addWidget(beside);
  line->addWidget(leave);
  connect(keep, &QPushButton::clicked, &document, &Document::keepPreview);
  connect(beside, &QPushButton::clicked, &document, &Document::keepPreviewAsVariant);
  connect(leave, &QPushButton::clicked, &document, &Document::leavePreview);
  connect(&document, &Document::changed, this, &PreviewBar::refresh);
  connect(&builder, &Builder::shownChanged, this, &PreviewBar::refresh);
  refresh();
}

// What the newest build says of the part that is tried out, against the build before.
QString PreviewBar::changes() const {
  const Shown& shown = builder_.shown();
  const int part = view_.selectedPart();
  if (builder_.isStale() || !shown.build || part < 0 || static_cast<std::size_t>(part) >= shown.build->parts.size())
    return tr("building…");
  const PartJudgement& built = shown.build->judged[static_cast<std::size_t>(part)];
  const bool sameMesh = before_.build && before_.project->parts.size() == shown.project->parts.size() &&
                        before_.project->parts[static_cast<std::size_t>(part)]->mesh ==
                            shown.project->parts[static_cast<std::size_t>(part)]->mesh;
  if (sameMesh) {
    const auto words = [](const Shown& s) {
      return inFigures(grams(s.build->tally.support(), s.project->settings), 1);
    };
    return tr("support %1 g, before %2 g").arg(words(shown), words(before_));
  }
  QStringList words;
  for (const MeshDefect& defect : built.health->defects) words << spoken(inWords(defect));
  const std::size_t lost = shown.project->parts[static_cast<std::size_t>(part)]->lostMarks.size();
  if (lost > 0) words << tr("marks lost in %1 place%2").arg(lost).arg(lost == 1 ? "" : "s");
  const QString left = words.isEmpty() ? tr("the mesh is sound") : tr("left: ") + words.join(", ");
  return (document_.previewNotes() + QStringList{left}).join(" · ");
}

void PreviewBar::refresh() {
  if (!document_.isPreviewing() && !builder_.isStale()) before_ = builder_.shown();
  setVisible(document_.isPreviewing());
  if (!document_.isPreviewing()) return;
  words_->setText(tr("Trying out: %1 · %2").arg(document_.previewName(), changes()));
  settle();
}

void PreviewBar::settle() {
  fitWithin(parentWidget()->width() - 24);
  move((parentWidget()->width() - width()) / 2, 12);
}

}  // namespace trellis
