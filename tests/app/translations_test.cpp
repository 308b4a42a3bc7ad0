// SPDX-License-Identifier: GPL-3.0-or-later
// The second language is complete, and says what the first says.
#include "app/theme/language.hpp"
#include "core/assess/comparison.hpp"
#include "core/learn/bench_notes.hpp"
#include "core/release/hand_move.hpp"
#include "core/release/scars.hpp"
#include "core/settings/presets.hpp"
#include "core/settings/words.hpp"
#include "tests/app/window_fixture.hpp"

#include <QLabel>
#include <QMenuBar>
#include <QProcess>
#include <QRegularExpression>
#include <QTranslator>
#include <QXmlStreamReader>

namespace trellis::test {
namespace {

struct Message {
  QString source, translation;
  bool unfinished = false;
};

std::vector<Message> messagesIn(const std::string& path) {
  std::vector<Message> all;
  QXmlStreamReader xml(QByteArray::fromStdString(readFile(path)));
  while (!xml.atEnd()) {
    xml.readNext();
    if (!xml.isStartElement()) continue;
    if (xml.name() == QStringLiteral("message")) all.emplace_back();
    if (xml.name() == QStringLiteral("source")) all.back().source = xml.readElementText();
    if (xml.name() == QStringLiteral("translation")) {
      all.back().unfinished = !xml.attributes().value("type").isEmpty();
      all.back().translation = xml.readElementText(QXmlStreamReader::IncludeChildElements);
    }
  }
  return all;
}

const std::string windowWords = std::string(TRELLIS_APP) + "/translations/window_de.ts";

QStringList placeholdersOf(const QString& text) {
  QStringList found;
  for (auto match = QRegularExpression("%L?[1-9]|<[^>]+>").globalMatch(text); match.hasNext();)
    found << match.next().captured().remove('L');  // figures as the locale has them
  found.sort();
  return found;
}

// The sources are read anew: a string that was written since the file was made is found too.
TEST(Translations, NoStringOfTheWindowIsUntranslated) {
  const ScratchFolder folder;
  const std::string copy = folder / "window_de.ts";
  writeFileAtomically(copy, readFile(windowWords));
  QProcess update;
  update.start(TRELLIS_LUPDATE, {TRELLIS_APP, "-I", TRELLIS_APP "/..", "-locations", "none", "-no-obsolete", "-ts",
                                 QString::fromStdString(copy)});
  ASSERT_TRUE(update.waitForFinished(60000));
  const auto all = messagesIn(copy);
  EXPECT_GT(all.size(), 800u);
  for (const Message& message : all)
    EXPECT_FALSE(message.unfinished || message.translation.isEmpty()) << qPrintable(message.source);
}

TEST(Translations, NothingThatIsFilledInGetsLost) {
  for (const Message& message : messagesIn(windowWords)) {
    if (message.source.contains("%n")) continue;
    EXPECT_EQ(placeholdersOf(message.source), placeholdersOf(message.translation)) << qPrintable(message.source);
  }
}

TEST(Translations, WordsOfTheCoreAreTranslated) {
  QTranslator german;
  ASSERT_TRUE(german.load(translationFile("de")));
  const auto expect = [&](const std::string& words) {
    EXPECT_FALSE(german.translate("core", words.c_str()).isEmpty()) << words;
  };
  for (const SettingRow& row : settingsTable()) {
    expect(row.label);
    expect(row.help);
    for (const std::string& choice : row.choices) expect(choiceInWords(row.key, choice));
  }
  for (const PresetKind kind : {PresetKind::release, PresetKind::filament})
    for (const Preset& preset : presets())
      if (preset.kind == kind) {
        expect(preset.label);
        expect(preset.help);
      }
  for (const FigureRow& row : figureRows()) expect(row.label);
  for (const Scar scar : {Scar::smooth, Scar::striped, Scar::rough, Scar::fused, Scar::nicked}) expect(nameOf(scar));
  for (const CameOff how : {CameOff::byHand, CameOff::pliers, CameOff::stayed, CameOff::fellOff}) expect(nameOf(how));
}

TEST(Translations, TheWindowSpeaksIt) {
  QTranslator german;
  ASSERT_TRUE(german.load(translationFile("de")));
  QCoreApplication::installTranslator(&german);
  MainWindow window;
  EXPECT_EQ(window.menuBar()->actions().front()->text(), "Datei");
  EXPECT_TRUE(window.findChild<QAbstractButton*>("layDown")->text().contains("Fläche")) << "the Place sheet";
  // With something built, everything that is filled in is.
  const ScratchFolder folder;
  writeFileAtomically(folder / "part.stl", writeStl(*shelf()));
  window.show();
  window.document().open(QString::fromStdString(folder / "part.stl"));
  ASSERT_TRUE(QTest::qWaitFor(
      [&] { return !window.document().project()->parts.empty() && !window.builder().isStale(); }, 60000));
  for (int sheet = 0; sheet < 6; ++sheet) {
    window.showSheet(sheet);
    QTest::qWait(20);
    for (const QLabel* label : window.findChildren<QLabel*>())
      EXPECT_FALSE(label->text().contains(QRegularExpression("%L?[1-9]"))) << qPrintable(label->text());
  }
  window.document().letGo();
  QCoreApplication::removeTranslator(&german);
}

}  // namespace
}  // namespace trellis::test
