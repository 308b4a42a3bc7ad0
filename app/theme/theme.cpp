// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/theme/theme.hpp"

#include <QApplication>
#include <QDBusConnection>
#include <QDBusMessage>
#include <QDBusVariant>
#include <QFontDatabase>
#include <QPalette>
#include <QSettings>
#include <QStyleFactory>

// Resources of a static library have to be asked for by name, outside every namespace.
static void bringResources() { Q_INIT_RESOURCE(resources); }

namespace trellis {

namespace {

const Theme day{"#F4F1EA", "#FBF9F5", "#2C2A27", "#6B675F", "#DDD6C9", "#FBF9F5", "#DDD5C5", "#CBBBA8",
                "#F1CBD8", "#A8154F", "#EFA31D", "#14545F", "#93A0CF", "#6F83BE", "#6A4688", "#C3BAE1",
                "#D2451E", "#2F6F4F", "#1B1B8F", "#758355", "#BB9966", "#3E7C9A"};
const Theme night{"#262422", "#2E2C29", "#EDE8DF", "#ADA699", "#474339", "#34312D", "#4B473F", "#B7A691",
                  "#E3A9BD", "#C7326E", "#EFA31D", "#3E8C99", "#93A0CF", "#6F83BE", "#AA97E9", "#D1BFE7",
                  "#E4633E", "#74B98F", "#9FA4F0", "#B1BF88", "#C6A763", "#80B4C0"};
const Theme* current = &day;

// The palette the desktop gave the application before we change it tells whether it prefers dark.
// What the maker chose; else what the desktop says through its settings portal (org.freedesktop.appearance,
// color-scheme: 1 is dark, 2 light); else what its palette looks like.
bool prefersDark(const QApplication& app) {
  if (const QString chosen = QSettings().value("colours").toString(); !chosen.isEmpty()) return chosen == "night";
  QDBusMessage ask = QDBusMessage::createMethodCall("org.freedesktop.portal.Desktop", "/org/freedesktop/portal/desktop",
                                                    "org.freedesktop.portal.Settings", "Read");
  ask << "org.freedesktop.appearance"
      << "color-scheme";
  constexpr int patience = 300;  // ms
  if (QDBusConnection::sessionBus().isConnected()) {
    const QDBusMessage answer = QDBusConnection::sessionBus().call(ask, QDBus::Block, patience);
    if (answer.type() == QDBusMessage::ReplyMessage && !answer.arguments().isEmpty()) {
      QVariant value = answer.arguments().constFirst().value<QDBusVariant>().variant();
      if (value.canConvert<QDBusVariant>()) value = value.value<QDBusVariant>().variant();
      if (value.toUInt() > 0) return value.toUInt() == 1;
    }
  }
  const QPalette palette = app.palette();
  return palette.color(QPalette::WindowText).lightness() > palette.color(QPalette::Window).lightness();
}

QString styleSheet(const Theme& t) {
  return QString(R"(
    QToolTip { background: %2; color: %3; border: 1px solid %5; padding: 4px; }
    QMenuBar, QMenu { background: %2; color: %3; }
    QMenuBar::item:selected, QMenu::item:selected { background: %5; }
    QMenu::item:disabled { color: %4; }
    QFrame#worksheet, QFrame#tally, QFrame#strip { background: %2; border: 0; }
    QFrame#trial, QFrame#recovery { background: %2; border: 1px solid %6; border-radius: 6px; }
    QFrame[card="true"] { background: %1; border: 1px solid %5; border-radius: 4px; }
    QFrame[card="true"]:focus { border-color: %6; }
    QLabel#heading { font-size: 17px; }
    QLabel#section { font-weight: bold; }
    QLabel#quiet { color: %4; }
    QPushButton, QToolButton { background: %1; color: %3; border: 1px solid %5; border-radius: 4px; padding: 5px 10px; }
    QPushButton:hover, QToolButton:hover { border-color: %6; }
    QPushButton:checked, QToolButton:checked { border: 2px solid %6; }
    QPushButton:focus, QToolButton:focus { border-color: %6; }
    QPushButton:disabled { color: %4; }
    QLineEdit { background: %1; color: %3; border: 1px solid %5; border-radius: 3px; padding: 3px 6px; }
    QLineEdit:focus { border: 1px solid %6; }
    QScrollBar:vertical { background: %2; width: 9px; margin: 0; border: 0; }
    QScrollBar::handle:vertical { background: %5; border-radius: 4px; min-height: 32px; }
    QScrollBar::add-line, QScrollBar::sub-line, QScrollBar::add-page, QScrollBar::sub-page { background: none; border: 0; height: 0; }
    QComboBox QAbstractItemView { background: %2; color: %3; selection-background-color: %5; selection-color: %3; }
    QTableWidget, QTreeWidget { background: %1; color: %3; border: 1px solid %5; gridline-color: %5; outline: 0; }
    QTableWidget::item:selected, QTreeWidget::item:selected { background: %5; color: %3; }
    QHeaderView { background: %2; }
    QHeaderView::section { background: %2; color: %4; border: 0; padding: 2px 4px; }
    QTableCornerButton::section { background: %2; border: 0; }
    QListWidget { background: %1; border: 1px solid %5; outline: 0; }
    QListWidget::item:selected { background: %5; color: %3; }
    QScrollArea { border: 0; background: %2; }
    QScrollArea > QWidget > QWidget { background: %2; }
    QProgressBar { border: 1px solid %5; border-radius: 3px; background: %1; max-height: 10px; }
    QProgressBar::chunk { background: %6; }
  )")
      .arg(t.paper.name(), t.panel.name(), t.ink.name(), t.quiet.name(), t.rule.name(), t.accent.name());
}

}  // namespace

const Theme& theme() { return *current; }

void installTheme(QApplication& app) {
  bringResources();
  current = prefersDark(app) ? &night : &day;
  QFontDatabase::addApplicationFont(":/fonts/Lato-Regular.ttf");
  QFontDatabase::addApplicationFont(":/fonts/Lato-Bold.ttf");
  app.setStyle(QStyleFactory::create("Fusion"));
  QFont font("Lato");
  font.setPixelSize(13);
  app.setFont(font);
  const Theme& t = theme();
  QPalette palette;
  for (const auto& [role, colour] : {std::pair{QPalette::Window, t.panel},
                                     {QPalette::WindowText, t.ink},
                                     {QPalette::Base, t.paper},
                                     {QPalette::AlternateBase, t.panel},
                                     {QPalette::Text, t.ink},
                                     {QPalette::Button, t.paper},
                                     {QPalette::ButtonText, t.ink},
                                     {QPalette::Highlight, t.accent},
                                     {QPalette::HighlightedText, t.panel},
                                     {QPalette::ToolTipBase, t.panel},
                                     {QPalette::ToolTipText, t.ink},
                                     {QPalette::PlaceholderText, t.quiet}})
    palette.setColor(role, colour);
  for (const QPalette::ColorRole role : {QPalette::WindowText, QPalette::Text, QPalette::ButtonText})
    palette.setColor(QPalette::Disabled, role, t.quiet);
  app.setPalette(palette);
  app.setStyleSheet(styleSheet(t));
}

}  // namespace trellis
