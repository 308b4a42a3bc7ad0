// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/sentence.hpp"

#include <fmt/format.h>

#include <algorithm>
#include <cctype>
#include <charconv>
#include <ostream>

namespace trellis {

namespace {

constexpr std::string_view asItIs = "{}";  // words of a text that is no template

std::string filled(const Sentence::Filling& filling, const std::string& spec, const Sentence::Translated& translated,
                   char point) {
  const std::string hole = "{:" + spec + "}";
  if (const auto* number = std::get_if<double>(&filling)) {
    std::string figure = fmt::format(fmt::runtime(hole), *number);
    std::replace(figure.begin(), figure.end(), '.', point);
    return figure;
  }
  if (const auto* count = std::get_if<long long>(&filling)) return fmt::format(fmt::runtime(hole), *count);
  if (const auto* text = std::get_if<std::string>(&filling)) return fmt::format(fmt::runtime(hole), *text);
  const Sentence& inner = *std::get<std::shared_ptr<const Sentence>>(filling);
  std::string sentence = inner.in(translated, point);
  const bool isEnglish = sentence == inner.english();  // other languages have their own use of small letters
  if (spec == "l" && isEnglish && !sentence.empty())
    sentence[0] = static_cast<char>(std::tolower(static_cast<unsigned char>(sentence[0])));
  return sentence;
}

// Holes are {}, {:spec} or, where a language has another order, {1} and {1:spec}.
std::string filledIn(const std::string& words, const std::vector<Sentence::Filling>& fillings,
                     const Sentence::Translated& translated, char point) {
  std::string text;
  std::size_t next = 0;
  for (std::size_t i = 0; i < words.size(); ++i) {
    const bool isBrace = words[i] == '{' || words[i] == '}';
    if (!isBrace || (i + 1 < words.size() && words[i + 1] == words[i])) {
      text += words[i];
      i += isBrace;  // {{ stands for {
      continue;
    }
    const std::size_t end = std::min(words.find('}', i), words.size());
    const std::string hole = words.substr(i + 1, end - i - 1);
    std::size_t which = next++;
    std::from_chars(hole.data(), hole.data() + hole.size(), which);
    const std::size_t colon = hole.find(':');
    if (which >= fillings.size())
      text += words.substr(i, end - i + 1);  // a name with a brace in it, say
    else
      text += filled(fillings[which], colon == std::string::npos ? "" : hole.substr(colon + 1), translated, point);
    i = end;
  }
  return text;
}

}  // namespace

Sentence::Sentence(std::string text) : Sentence(std::string(asItIs), {std::move(text)}) {}

Sentence::Sentence(std::string words, std::vector<Filling> fillings)
    : phrases_{{std::move(words), std::move(fillings)}} {
  english_ = in([](const std::string& same) { return same; }, '.');
}

std::string Sentence::in(const Translated& translated, char point) const {
  std::string text;
  for (const Phrase& phrase : phrases_)
    text +=
        filledIn(phrase.words == asItIs ? phrase.words : translated(phrase.words), phrase.fillings, translated, point);
  return text;
}

Sentence& Sentence::operator+=(const Sentence& next) {
  phrases_.insert(phrases_.end(), next.phrases_.begin(), next.phrases_.end());
  english_ += next.english_;
  return *this;
}

std::ostream& operator<<(std::ostream& out, const Sentence& sentence) { return out << sentence.english_; }

Sentence operator+(Sentence first, const Sentence& next) {
  if (!first.empty() && !next.empty()) first += Sentence(std::string(" "));
  return first += next;
}

Sentence listed(const std::vector<Sentence>& all, const std::string& between) {
  Sentence list;
  for (const Sentence& one : all) {
    if (!list.empty()) list += Sentence(between);
    list += one;
  }
  return list;
}

Sentence sayWords(std::string words) { return {std::move(words), {}}; }

}  // namespace trellis
