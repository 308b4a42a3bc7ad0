// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/thumbnail_image.hpp"

#include "app/theme/theme.hpp"

namespace trellis {

QImage imageOf(const Thumbnail& thumbnail, double freeLean) {
  QImage image(thumbnail.size, thumbnail.size, QImage::Format_ARGB32);
  image.fill(Qt::transparent);
  const Theme& t = theme();
  for (int y = 0; y < thumbnail.size; ++y)
    for (int x = 0; x < thumbnail.size; ++x) {
      const PortraitPixel& pixel = thumbnail.pixels[static_cast<std::size_t>(y * thumbnail.size + x)];
      if (pixel.light < 0) continue;
      const double share =
          std::clamp((static_cast<double>(pixel.lean) - freeLean) / std::max(1.0, 90 - freeLean), 0.0, 1.0);
      const bool hangs = static_cast<double>(pixel.lean) > freeLean;
      const auto mixed = [&](int part, int low, int high) {
        return static_cast<int>(static_cast<float>(hangs ? low + share * (high - low) : part) *
                                std::min(1.0f, pixel.light + 0.15f));
      };
      image.setPixelColor(x, y,
                          QColor(mixed(t.part.red(), t.hangingLow.red(), t.hangingHigh.red()),
                                 mixed(t.part.green(), t.hangingLow.green(), t.hangingHigh.green()),
                                 mixed(t.part.blue(), t.hangingLow.blue(), t.hangingHigh.blue())));
    }
  return image;
}

}  // namespace trellis
