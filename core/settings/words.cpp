// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/settings/words.hpp"

#include <map>
#include <utility>

namespace trellis {

std::string choiceInWords(const std::string& key, const std::string& choice) {
  static const std::map<std::pair<std::string, std::string>, const char*> words = {
      {{"support.source", "overhangs"}, "overhangs and decisions"},
      {{"support.source", "floating"}, "floating starts and decisions"},
      {{"support.source", "decisions"}, "decisions only"},
      {{"support.normal.outline", "close"}, "close to the shadow"},
      {{"support.normal.outline", "squared"}, "square columns"},
      {{"support.body.pattern", "zigzag"}, "one zigzag"},
      {{"support.filament.interface", "first"}, "first filament"},
      {{"support.filament.interface", "second"}, "second filament"},
      {{"support.filament.body", "auto"}, "first if it comes out"},
      {{"support.filament.body", "first"}, "first filament"},
      {{"support.filament.body", "second"}, "second filament"},
      {{"support.footing", "plate"}, "plate only"},
      {{"support.footing", "any"}, "plate and part"}};
  const auto found = words.find({key, choice});
  return found != words.end() ? found->second : choice;
}

}  // namespace trellis
