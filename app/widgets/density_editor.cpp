// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/density_editor.hpp"

#include "core/toolpath/support_paths.hpp"

#include <QDoubleSpinBox>
#include <QHBoxLayout>
#include <QLabel>

#include <cmath>

namespace trellis {

DensityEditor::DensityEditor(Document& document, View& view, const std::string& spacingKey, QWidget* parent)
    : QWidget(parent), document_(document), view_(view), key_(spacingKey) {
  setObjectName(QString::fromStdString("density." + spacingKey));
  auto* line = new QHBoxLayout(this);
  line->setContentsMargins(0, 0, 28, 0);  // in line with the settings, which have a reset beside them
  auto* label = new QLabel(tr("as density"));
  label->setObjectName("quiet");
  line->addWidget(label, 1);
  box_ = new QDoubleSpinBox;
  box_->setDecimals(1);
  box_->setSuffix(" %");
  box_->setAlignment(Qt::AlignRight);
  box_->setKeyboardTracking(false);
  box_->setFixedWidth(104);
  box_->setToolTip(tr("Line width over line width and spacing. Changing it changes the spacing."));
  line->addWidget(box_);
  connect(box_, &QDoubleSpinBox::valueChanged, this, [this](double density) {
    const double spacing =
        std::round(spacingOf(view_.settingsEdited().number("line.width"), density / 100) * 1e4) / 1e4;
    document_.perform(ChangeSetting{key_, spacing, view_.editedPart()});
  });
  connect(&document, &Document::changed, this, &DensityEditor::refresh);
  connect(&view, &View::selectionChanged, this, &DensityEditor::refresh);
  refresh();
}

void DensityEditor::refresh() {
  const QSignalBlocker quiet(box_);
  const Settings settings = view_.settingsEdited();
  const double width = settings.number("line.width");
  box_->setRange(std::ceil(1000 * densityOf(width, settingRow(key_).high)) / 10, 100);
  box_->setValue(100 * densityOf(width, settings.number(key_)));
}

}  // namespace trellis
