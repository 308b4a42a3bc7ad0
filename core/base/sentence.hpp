// SPDX-License-Identifier: GPL-3.0-or-later
// What the program says to a person: words with holes, and what fills the holes, kept apart, so that a window can say
// the same in its own language. Files, the command line and comparisons have the English of it.
#pragma once

#include <fmt/core.h>

#include <concepts>
#include <functional>
#include <iosfwd>
#include <memory>
#include <string>
#include <string_view>
#include <variant>
#include <vector>

namespace trellis {

class Sentence {
 public:
  using Filling = std::variant<double, long long, std::string, std::shared_ptr<const Sentence>>;

  Sentence() = default;
  Sentence(std::string text);  // as it is in every language: a name, a figure, what a file says
  Sentence(std::string words, std::vector<Filling> fillings);

  const std::string& english() const { return english_; }
  operator const std::string&() const { return english_; }
  bool empty() const { return english_.empty(); }

  // translated says words (with their holes, as say has them) in another language; point is its decimal sign.
  using Translated = std::function<std::string(const std::string& words)>;
  std::string in(const Translated& translated, char point) const;

  Sentence& operator+=(const Sentence& next);  // with nothing between

  friend bool operator==(const Sentence& one, const Sentence& other) { return one.english_ == other.english_; }
  friend bool operator==(const Sentence& one, std::string_view english) { return one.english_ == english; }
  friend std::ostream& operator<<(std::ostream& out, const Sentence& sentence);

 private:
  struct Phrase {
    std::string words;
    std::vector<Filling> fillings;
  };
  std::vector<Phrase> phrases_;
  std::string english_;
};

// One after the other with a space between; the other where one is empty.
Sentence operator+(Sentence first, const Sentence& next);
Sentence listed(const std::vector<Sentence>& all, const std::string& between = ", ");
// Words of a table, which are translated as they are.
Sentence sayWords(std::string words);

}  // namespace trellis

template <>
struct fmt::formatter<trellis::Sentence> : fmt::formatter<fmt::string_view> {
  // {:l} begins with a small letter.
  constexpr auto parse(fmt::format_parse_context& context) {
    return context.begin() + (context.begin() != context.end() && *context.begin() == 'l');
  }
  template <typename Context>
  auto format(const trellis::Sentence& sentence, Context& context) const {
    return fmt::formatter<fmt::string_view>::format(sentence.english(), context);
  }
};

namespace trellis {

template <typename Value>
Sentence::Filling fillingOf(const Value& value) {
  if constexpr (std::integral<Value>)
    return static_cast<long long>(value);
  else if constexpr (std::floating_point<Value>)
    return static_cast<double>(value);
  else if constexpr (std::same_as<Value, Sentence>)
    return std::make_shared<const Sentence>(value);
  else
    return std::string(value);
}

// Words with holes as fmt has them, {} or {:.1f}, filled in their order; {:l} is a sentence that begins with a small
// letter in English. What is translated is found by reading sources
// for this function's name, so words stand in it as a literal.
template <typename... Fillings>
Sentence say(fmt::format_string<const Fillings&...> words, const Fillings&... fillings) {
  const fmt::string_view text = words;
  return {std::string(text.data(), text.size()), {fillingOf(fillings)...}};
}

}  // namespace trellis
