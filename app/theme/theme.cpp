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

#include <optional>

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

// What the desktop says through its settings portal; nothing where there is none.
std::optional<QVariant> fromPortal(const QString& group, const QString& key) {
  QDBusMessage ask = QDBusMessage::createMethodCall("org.freedesktop.portal.Desktop", "/org/freedesktop/portal/desktop",
                                                    "org.freedesktop.portal.Settings", "Read");
  ask << group << key;
  constexpr int patience = 300;  // ms
  if (!QDBusConnection::sessionBus().isConnected()) return std::nullopt;
  const QDBusMessage answer = QDBusConnection::sessionBus().call(ask, QDBus::Block, patience);
  if (answer.type() != QDBusMessage::ReplyMessage || answer.arguments().isEmpty()) return std::nullopt;
  const QVariant value = answer.arguments().constFirst().value<QDBusVariant>().variant();
  return value.canConvert<QDBusVariant>() ? value.value<QDBusVariant>().variant() : value;
}

// What the maker chose; else what the desktop says (color-scheme: 1 is dark, 2 light); else what the palette looks like
// that it gave the application before we change it.
bool prefersDark(const QApplication& app) {
  if (const QString chosen = QSettings().value("colours").toString(); !chosen.isEmpty()) return chosen == "night";
  if (const auto scheme = fromPortal("org.freedesktop.appearance", "color-scheme"); scheme && scheme->toUInt() > 0)
    return scheme->toUInt() == 1;
  const QPalette palette = app.palette();
  return palette.color(QPalette::WindowText).lightness() > palette.color(QPalette::Window).lightness();
}

QString styleSheet(const Theme& t) {
  return QString(R"(
    QToolTip { background: %2; color: %3; border: 1px solid %5; padding: 4px; }
    QMenuBar, QMenu { background: %2; color: %3; }
    QMenuBar { padding: 3px 6px; }
    QMenuBar::item { padding: 5px 9px; background: transparent; border-radius: 4px; }
    QMenu { border: 1px solid %5; padding: 4px; }
    QMenu::item { padding: 5px 22px 5px 12px; border-radius: 3px; }
    QMenu::separator { height: 1px; background: %5; margin: 4px 8px; }
    QMenuBar::item:selected, QMenu::item:selected { background: %5; }
    QMenu::item:disabled { color: %4; }
    QFrame#worksheet, QFrame#tally, QFrame#strip { background: %2; border: 0; }
    QFrame#trial, QFrame#recovery, QFrame#start, QFrame#hints {
      background: %2; border: 1px solid %6; border-radius: 6px;
    }
    QFrame[card="true"] { background: %1; border: 1px solid %5; border-radius: 4px; }
    QFrame[card="true"]:focus { border-color: %6; }
    QLabel#heading { font-size: 17px; }
    QLabel#section { font-weight: bold; }
    QLabel#quiet { color: %4; }
    QPushButton, QToolButton { background: %1; color: %3; border: 1px solid %5; border-radius: 4px; padding: 5px 10px; }
    QToolButton#manualPage { border: 0; color: %4; padding: 2px 8px; }
    QToolButton#manualPage:hover, QToolButton#manualPage:focus { color: %6; }
    QPushButton[narrow="true"] { padding: 5px 3px; }
    QPushButton:hover, QToolButton:hover { border-color: %6; }
    QPushButton:checked, QToolButton:checked { border: 2px solid %6; }
    QPushButton:focus, QToolButton:focus { border-color: %6; }
    QPushButton:disabled { color: %4; }
    QLineEdit, QComboBox, QAbstractSpinBox, QPlainTextEdit {
      background: %1; color: %3; border: 1px solid %5; border-radius: 4px;
    }
    QLineEdit, QComboBox { padding: 3px 7px; }
    QAbstractSpinBox { padding: 3px 2px 3px 6px; }
    QLineEdit:focus, QComboBox:focus, QAbstractSpinBox:focus, QPlainTextEdit:focus { border: 1px solid %6; }
    QComboBox:hover, QAbstractSpinBox:hover, QLineEdit:hover { border-color: %6; }
    QComboBox:disabled, QAbstractSpinBox:disabled { color: %4; }
    QComboBox::drop-down { border: 0; width: 20px; }
    QComboBox::down-arrow { image: url(:/icons/down.png); width: 10px; height: 10px; }
    QAbstractSpinBox::up-button, QAbstractSpinBox::down-button { border: 0; width: 15px; background: transparent; }
    QAbstractSpinBox::up-arrow { image: url(:/icons/up.png); width: 8px; height: 8px; }
    QAbstractSpinBox::down-arrow { image: url(:/icons/down.png); width: 8px; height: 8px; }
    QCheckBox { spacing: 7px; }
    QCheckBox::indicator { width: 14px; height: 14px; border: 1px solid %4; border-radius: 3px; background: %1; }
    QCheckBox::indicator:hover, QCheckBox::indicator:focus { border-color: %6; }
    QCheckBox::indicator:checked { background: %6; border-color: %6; image: url(:/icons/tick.png); }
    QCheckBox::indicator:disabled { border-color: %5; }
    QSlider::groove:horizontal { height: 4px; border-radius: 2px; background: %5; }
    QSlider::sub-page:horizontal { background: %6; border-radius: 2px; }
    QSlider::handle:horizontal { width: 14px; height: 14px; margin: -5px 0; border-radius: 7px; background: %6; }
    QScrollBar:vertical { background: %2; width: 9px; margin: 0; border: 0; }
    QScrollBar::handle:vertical { background: %5; border-radius: 3px; min-height: 32px; margin: 0 3px 0 0; }
    QScrollBar::add-line, QScrollBar::sub-line, QScrollBar::add-page, QScrollBar::sub-page {
      background: none; border: 0; height: 0;
    }
    QComboBox QAbstractItemView { background: %2; color: %3; selection-background-color: %5; selection-color: %3; }
    QTableWidget, QTreeWidget { background: %1; color: %3; border: 1px solid %5; gridline-color: %5; outline: 0; }
    QTableWidget::item:selected, QTreeWidget::item:selected { background: %5; color: %3; }
    QHeaderView { background: %2; }
    QHeaderView::section { background: %2; color: %4; border: 0; padding: 2px 4px; }
    QTableCornerButton::section { background: %2; border: 0; }
    QListWidget { background: %1; border: 1px solid %5; outline: 0; }
    QListWidget::item:selected { background: %5; color: %3; }
    QListWidget#manualChapters { background: %2; padding: 14px 6px; }
    QListWidget#manualChapters::item { padding: 6px 10px; border-radius: 3px; }
    QTextBrowser#manualText { background: %1; color: %3; }
    QScrollArea { border: 0; background: %2; }
    QScrollArea > QWidget > QWidget { background: %2; }
    QProgressBar { border: 1px solid %5; border-radius: 3px; background: %1; max-height: 10px; }
    QProgressBar::chunk { background: %6; }
  )")
      .arg(t.paper.name(), t.panel.name(), t.ink.name(), t.quiet.name(), t.rule.name(), t.accent.name());
}

}  // namespace

const Theme& theme() { return *current; }

bool wantsMotion() {
  static const bool wants = [] {
    const auto animations = fromPortal("org.gnome.desktop.interface", "enable-animations");
    return !animations || animations->toBool();
  }();
  return wants;
}

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
