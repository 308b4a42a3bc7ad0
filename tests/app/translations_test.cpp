// SPDX-License-Identifier: GPL-3.0-or-later
// The second language is complete, and says what the first says.
#include "app/theme/language.hpp"
#include "app/theme/spoken.hpp"
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

#include <filesystem>
#include <set>

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

// What the core says, read from its sources: the words of every say("…"), but those that are nothing but holes.
std::set<std::string> wordsThatAreSaid() {
  static const QRegularExpression said(R"re(\bsay\(\s*((?:"(?:[^"\\]|\\.)*"\s*)+))re"),
      quoted(R"re("((?:[^"\\]|\\.)*)")re"), hole(R"(\{[^}]*\})"), letter("[A-Za-z]");
  std::set<std::string> all;
  for (const auto& file : std::filesystem::recursive_directory_iterator(TRELLIS_APP "/../core")) {
    if (!file.is_regular_file()) continue;
    for (auto one = said.globalMatch(QString::fromStdString(readFile(file.path()))); one.hasNext();) {
      QString words;
      for (auto part = quoted.globalMatch(one.next().captured(1)); part.hasNext();) words += part.next().captured(1);
      words.replace("\\\"", "\"");
      if (QString(words).remove(hole).contains(letter)) all.insert(words.toStdString());
    }
  }
  return all;
}

TEST(Translations, SentencesOfTheCoreAreTranslatedWithAllThatFillsThem) {
  QTranslator german;
  ASSERT_TRUE(german.load(translationFile("de")));
  static const QRegularExpression hole(R"(\{[0-9]*(:[^}]*)?\})");
  const auto holesOf = [](const QString& words) {
    QStringList specs;
    for (auto one = hole.globalMatch(words); one.hasNext();) specs << one.next().captured(1).remove(":l");
    specs.sort();
    return specs;
  };
  const std::set<std::string> all = wordsThatAreSaid();
  EXPECT_GT(all.size(), 400u);
  for (const std::string& words : all) {
    const QString translated = german.translate("core", words.c_str());
    EXPECT_FALSE(translated.isEmpty()) << words;
    EXPECT_EQ(holesOf(translated), holesOf(QString::fromStdString(words))) << words;
  }
}

TEST(Translations, FindingsAndErrorsAreSpokenInIt) {
  QTranslator german;
  ASSERT_TRUE(german.load(translationFile("de")));
  QCoreApplication::installTranslator(&german);
  const QLocale before;
  QLocale::setDefault(QLocale("de_DE"));
  const BuildPtr built = build(projectOf(table(30, 10, 2), {{"support.on", false}}));
  ASSERT_FALSE(built->findings.empty());
  for (const Finding& finding : built->findings) {
    EXPECT_NE(spoken(finding.message).toStdString(), finding.message.english());
    EXPECT_NE(spoken(finding.detail).toStdString(), finding.detail.english());
  }
  EXPECT_EQ(spoken(nameOf(ChangeSetting{"support.gap.above", 0.25})), "Abstand oben 0,25 mm");
  try {
    readFile("/nowhere/at/all.stl");
    ADD_FAILURE();
  } catch (const Error& error) {
    EXPECT_TRUE(spoken(error).startsWith("/nowhere/at/all.stl konnte nicht geöffnet werden: "))
        << qPrintable(spoken(error));
  }
  QLocale::setDefault(before);
  QCoreApplication::removeTranslator(&german);
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
