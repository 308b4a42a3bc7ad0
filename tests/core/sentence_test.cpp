// SPDX-License-Identifier: GPL-3.0-or-later
// Sentences: what fills them is kept apart, so that another language can have its own order and figures.
#include "core/base/error.hpp"

#include <gmock/gmock.h>

namespace trellis::test {
namespace {

// A language in which everything is in capitals, but for what it does not know.
std::string shouted(const std::string& words) {
  if (words == "{} lost {:.1f} mm² of {}.") return "{2} {1:.1f} QMM {0}!";
  if (words == "face") return "FACE";
  return words;
}

TEST(Sentence, IsSaidInAnotherOrderWithOtherFigures) {
  const Sentence sentence = say("{} lost {:.1f} mm² of {}.", "a.stl", 2.25, say("face"));
  EXPECT_EQ(sentence, "a.stl lost 2.2 mm² of face.");
  EXPECT_EQ(sentence.in(shouted, ','), "FACE 2,2 QMM a.stl!");
}

TEST(Sentence, NamesStayAsTheyAre) {
  EXPECT_EQ(Sentence(std::string("face")).in(shouted, ','), "face");
  EXPECT_EQ(say("{}", "face {} 1.5").in(shouted, ','), "face {} 1.5") << "what fills a hole is not read again";
}

TEST(Sentence, FollowOneAnotherWithASpace) {
  const Sentence two = say("One.") + Sentence() + say("Two: {}.", 2);
  EXPECT_EQ(two, "One. Two: 2.");
  EXPECT_EQ(listed({say("a"), say("b"), say("c")}), "a, b, c");
}

TEST(Sentence, SmallLettersAreEnglish) {
  const Sentence setting = say("{:l} {:g} {}", sayWords("Gap above"), 0.25, "mm");
  EXPECT_EQ(setting, "gap above 0.25 mm");
  const auto german = [](const std::string& words) { return words == "Gap above" ? "Abstand oben" : words; };
  EXPECT_EQ(setting.in(german, ','), "Abstand oben 0,25 mm");
}

TEST(Sentence, BracesThatAreMeantStay) {
  EXPECT_EQ(say("{{{}}} is open", "heat"), "{heat} is open");
  EXPECT_EQ(sayWords("holds {0} of a{b}c"), "holds {0} of a{b}c") << "nothing is there to fill them";
}

TEST(Error, CarriesItsSentence) {
  try {
    throw GeometryError(say("Layer {}", 3));
  } catch (const std::exception& error) {
    EXPECT_STREQ(error.what(), "Layer 3");
    EXPECT_EQ(sentenceOf(error).in([](const std::string&) { return "Schicht {}"; }, ','), "Schicht 3");
  }
  EXPECT_EQ(sentenceOf(std::runtime_error("plain")), "plain");
}

}  // namespace
}  // namespace trellis::test
