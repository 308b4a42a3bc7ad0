// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/geometry/lettering.hpp"

#include "core/base/error.hpp"

#include <ft2build.h>
#include FT_FREETYPE_H
#include FT_OUTLINE_H

#include <cmath>
#include <memory>

// The typeface's file as it ships, within the program.
asm(".section .rodata\n"
    ".balign 16\n"
    "trellisTypeface:\n"
    ".incbin \"" TRELLIS_TYPEFACE
    "\"\n"
    "trellisTypefaceEnd:\n"
    ".byte 0\n"
    ".previous\n");
extern "C" const unsigned char trellisTypeface[], trellisTypefaceEnd[];

namespace trellis {

namespace {

constexpr double finest = 0.02;  // mm from a curve to its chord

// Follows outlines in font units, scaled.
struct Tracer {
  double scale, shift;
  Polygons outlines = {};
  Vec2 pen = Vec2::Zero();

  Vec2 placed(const FT_Vector* v) const {
    return {static_cast<double>(v->x) * scale + shift, static_cast<double>(v->y) * scale};
  }
  void lineTo(const Vec2& to) {
    outlines.back().push_back(toPoint(to));
    pen = to;
  }
  // Pieces of equal parameter, so many that none is farther from the curve than finest.
  template <typename Curve>
  void curveTo(double bend, const Curve& curve) {
    const int count = std::max(1, static_cast<int>(std::ceil(std::sqrt(bend / (8 * finest)))));
    for (int k = 1; k <= count; ++k) lineTo(curve(static_cast<double>(k) / count));
  }
};

Tracer& tracerOf(void* user) { return *static_cast<Tracer*>(user); }

int moveTo(const FT_Vector* to, void* user) {
  Tracer& tracer = tracerOf(user);
  tracer.outlines.emplace_back();
  tracer.lineTo(tracer.placed(to));
  return 0;
}

int lineTo(const FT_Vector* to, void* user) {
  tracerOf(user).lineTo(tracerOf(user).placed(to));
  return 0;
}

int conicTo(const FT_Vector* control, const FT_Vector* to, void* user) {
  Tracer& tracer = tracerOf(user);
  const Vec2 a = tracer.pen, b = tracer.placed(control), c = tracer.placed(to);
  tracer.curveTo((2 * a - 4 * b + 2 * c).norm(),
                 [&](double t) { return Vec2((1 - t) * (1 - t) * a + 2 * t * (1 - t) * b + t * t * c); });
  return 0;
}

int cubicTo(const FT_Vector* first, const FT_Vector* second, const FT_Vector* to, void* user) {
  Tracer& tracer = tracerOf(user);
  const Vec2 a = tracer.pen, b = tracer.placed(first), c = tracer.placed(second), d = tracer.placed(to);
  const double bend = 6 * std::max((a - 2 * b + c).norm(), (b - 2 * c + d).norm());
  tracer.curveTo(bend, [&](double t) {
    const double s = 1 - t;
    return Vec2(s * s * s * a + 3 * s * s * t * b + 3 * s * t * t * c + t * t * t * d);
  });
  return 0;
}

class Typeface {
 public:
  Typeface() {
    if (FT_Init_FreeType(&library_) != 0 ||
        FT_New_Memory_Face(library_, trellisTypeface, static_cast<FT_Long>(trellisTypefaceEnd - trellisTypeface), 0,
                           &face_) != 0)
      throw Error(say("The typeface that ships with the program cannot be read. Install it again."));
  }
  ~Typeface() {
    FT_Done_Face(face_);
    FT_Done_FreeType(library_);
  }
  Typeface(const Typeface&) = delete;
  Typeface& operator=(const Typeface&) = delete;

  bool load(unsigned long character) const {
    return FT_Load_Char(face_, character, FT_LOAD_NO_SCALE | FT_LOAD_NO_HINTING) == 0 &&
           face_->glyph->format == FT_GLYPH_FORMAT_OUTLINE;
  }
  FT_GlyphSlot glyph() const { return face_->glyph; }

 private:
  FT_Library library_ = nullptr;
  FT_Face face_ = nullptr;
};

}  // namespace

Polygons lettered(const std::string& text, double height) {
  const Typeface typeface;
  if (!typeface.load('0')) return {};
  const double scale = height / static_cast<double>(typeface.glyph()->metrics.horiBearingY);
  const FT_Outline_Funcs follow{moveTo, lineTo, conicTo, cubicTo, 0, 0};
  Tracer tracer{scale, 0};
  for (const char character : text) {
    if (!typeface.load(static_cast<unsigned char>(character))) continue;
    FT_Outline_Decompose(&typeface.glyph()->outline, &follow, &tracer);
    tracer.shift += static_cast<double>(typeface.glyph()->metrics.horiAdvance) * scale;
  }
  // TrueType outlines run clockwise, holes the other way.
  for (Polygon& outline : tracer.outlines) std::reverse(outline.begin(), outline.end());
  return unite(tracer.outlines);
}

}  // namespace trellis
