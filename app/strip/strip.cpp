// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/strip/strip.hpp"

#include "app/scene/scene_lines.hpp"
#include "core/overhang/lean.hpp"
#include "core/overhang/too_small.hpp"

#include <QHelpEvent>
#include <QMouseEvent>
#include <QToolTip>

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

constexpr int frame = 40;          // ms between pictures of a play
constexpr double slowLayer = 0.6;  // s a layer takes at least while it is played, so that it can be seen

}  // namespace

Strip::Strip(Document& document, Builder& builder, View& view, Hand& hand, QWidget* parent)
    : QFrame(parent), document_(document), builder_(builder), view_(view), hand_(hand) {
  setObjectName("strip");
  setMinimumWidth(96);
  setMaximumWidth(260);
  setToolTip(
      tr("The print stood upright: the areas of part and support at every height. Drag the handles to show some "
         "layers only; the wheel steps one layer, with Shift ten."));
  connect(&builder, &Builder::shownChanged, this, [this] {
    measure();
    update();
  });
  connect(&view, &View::rangeChanged, this, qOverload<>(&QWidget::update));
  connect(&view, &View::gcodeChanged, this, [this] {
    measure();
    update();
  });
  connect(&view, &View::besideChanged, this, qOverload<>(&QWidget::update));
  connect(&view, &View::chosenChanged, this, qOverload<>(&QWidget::update));
  connect(&document, &Document::changed, this, qOverload<>(&QWidget::update));
  playing_.setInterval(frame);
  connect(&playing_, &QTimer::timeout, this, &Strip::playOn);
}

void Strip::setLanes(StripLane left, StripLane right) {
  lanes_ = {left, right};
  update();
}

std::optional<double> Strip::laneX(StripLane lane) const {
  return lane == lanes_[0]   ? std::optional<double>(width() - leftLane)
         : lane == lanes_[1] ? std::optional<double>(width() - rightLane)
                             : std::nullopt;
}

// What a lane's heading says when it is pointed at.
QString Strip::helpOf(StripLane lane) {
  switch (lane) {
    case StripLane::lean:
      return tr("Rose where it leans more than the free lean: the deeper, the nearer to a ceiling.");
    case StripLane::starts:
      return tr(
          "A diamond where something begins in mid-air: hollow where support carries it, filled where it is "
          "bare. Click one to go there.");
    case StripLane::marks:
      return tr("Amber on the left where support is enforced, teal on the right where it is blocked.");
    case StripLane::holds:
      return tr("A small tip where support takes hold under the part.");
    case StripLane::sway:
      break;
  }
  return tr(
      "The dashed line is how far the print gives way to 1 N when it is so high; the green bar is where support "
      "holds it.");
}

void Strip::measure() {
  levels_.clear();
  symbols_.clear();
  widest_ = 1;
  mostDeflection_ = longest_ = 0;
  const Shown& shown = builder_.shown();
  if (view_.gcode()) {  // of a file: what lies at each height, as area of line
    const TrialPrint& trial = *view_.gcode()->trial;
    for (std::size_t i = 0; i < trial.tops.size(); ++i)
      levels_.push_back({i > 0 ? trial.tops[i - 1] : 0, trial.tops[i], 0, 0});
    for (const Stretch& s : trial.stretches) {
      const auto at = std::lower_bound(trial.tops.begin(), trial.tops.end(), static_cast<double>(s.to.z()) - 1e-4);
      if (at != trial.tops.end())
        (isPart(trial.said[s.said]) ? levels_[static_cast<std::size_t>(at - trial.tops.begin())].part
                                    : levels_[static_cast<std::size_t>(at - trial.tops.begin())].support) +=
            s.length() * static_cast<double>(s.width);
    }
    for (const TrialStart& start : trial.starts) symbols_.push_back({start.at, true});
    for (const Level& level : levels_) widest_ = std::max(widest_, level.part + level.support);
    return;
  }
  if (!shown.build) return;
  for (std::size_t i = 0; i < shown.build->plan.count(); ++i) {
    Level level{shown.build->plan.spans[i].bottom, shown.build->plan.spans[i].top, 0, 0};
    for (const PartBuild& part : shown.build->parts)
      if (i < part.sections->size()) level.part += area((*part.sections)[i]);
    levels_.push_back(level);
  }
  for (const SupportLayer& layer : shown.build->support->layers) {
    const double middle = (layer.bottom + layer.top) / 2;
    const auto at =
        std::find_if(levels_.begin(), levels_.end(), [&](const Level& level) { return middle < level.top; });
    if (at == levels_.end()) continue;
    for (const PieceRegion& region : layer.regions) at->support += area(region.area);
  }
  for (const auto& layer : shown.build->print.layers) {
    const auto at =
        std::find_if(levels_.begin(), levels_.end(), [&](const Level& level) { return layer->top < level.top + 1e-6; });
    if (at != levels_.end()) at->seconds += layer->use.seconds() + layer->waits;
  }
  for (const PartJudgement& judged : shown.build->judged)
    for (std::size_t i = 0; i < judged.stability->levels.size(); ++i) {
      levels_[i].deflection = std::max(levels_[i].deflection, judged.stability->levels[i].deflection);
      levels_[i].held = levels_[i].held || judged.stability->levels[i].held;
    }
  for (const PartBuild& part : shown.build->parts) {
    measureLeans(part);
    for (const FloatingStart* start : startsThatMatter(*part.sites, *part.overhangs)) {
      const bool bare = std::any_of(shown.build->findings.begin(), shown.build->findings.end(), [&](const Finding& f) {
        if (f.code != "floating-start") return false;
        const auto isHere = [&](const Vec3& at) { return (at - start->at).norm() < 1e-6; };
        return isHere(f.at) || std::any_of(f.places.begin(), f.places.end(), isHere);
      });
      symbols_.push_back({start->at, bare});
    }
  }
  for (const auto& column : shown.build->columns)
    for (const double top : column->contactTops) {
      const auto at = std::find_if(levels_.begin(), levels_.end(), [&](const Level& level) { return top < level.top; });
      if (at != levels_.end()) at->lands = true;
    }
  for (const Level& level : levels_) {
    widest_ = std::max(widest_, level.part + level.support);
    mostDeflection_ = std::max(mostDeflection_, level.deflection);
    longest_ = std::max(longest_, level.seconds);
  }
}

// The worst lean of what hangs at each height.
void Strip::measureLeans(const PartBuild& part) {
  for (const Site& site : part.sites->list)
    for (const std::uint32_t facet : site.facets) {
      const double lean = leanOf(part.placed->normal(facet));
      double low = 1e9, high = -1e9;
      for (const std::uint32_t corner : part.placed->facets[facet]) {
        low = std::min(low, static_cast<double>(part.placed->vertices[corner].z()));
        high = std::max(high, static_cast<double>(part.placed->vertices[corner].z()));
      }
      for (auto level =
               std::lower_bound(levels_.begin(), levels_.end(), low, [](const Level&l, double z) { return l.top < z; });
           level != levels_.end() && level->bottom <= high; ++level)
        level->lean = std::max(level->lean, lean);
    }
}

double Strip::top() const { return std::max(10.0, view_.height()); }

double Strip::pixelOf(double z) const {
  return height() - marginBottom - z / top() * (height() - marginTop - marginBottom);
}

double Strip::heightAt(double pixel) const {
  return std::clamp((height() - marginBottom - pixel) / (height() - marginTop - marginBottom), 0.0, 1.0) * top();
}

double Strip::snapped(double z) const {
  const std::vector<double> tops = view_.tops();
  if (tops.empty()) return z;
  double best = 0;
  for (const double top : tops)
    if (std::abs(top - z) < std::abs(best - z)) best = top;
  return best;
}

void Strip::step(int layers) {
  const std::vector<double> tops = view_.tops();
  if (tops.empty()) return;
  const double now = std::min(view_.range().second, view_.height());
  std::ptrdiff_t at = 0;
  while (at + 1 < static_cast<std::ptrdiff_t>(tops.size()) && tops[static_cast<std::size_t>(at)] < now - 1e-6) ++at;
  at = std::clamp<std::ptrdiff_t>(at + layers, 0, static_cast<std::ptrdiff_t>(tops.size()) - 1);
  view_.setRange(view_.range().first, tops[static_cast<std::size_t>(at)]);
}

void Strip::play() {
  if (playing_.isActive()) {
    view_.setDrawnShare(1);
    return playing_.stop();
  }
  if (view_.range().second >= view_.height() - 1e-6)
    view_.setRange(view_.range().first, snapped(view_.range().first + 0.2));
  view_.setDrawnShare(0);
  playing_.start();
}

// A frame further into the layer, and into the next one when it is full.
void Strip::playOn() {
  double seconds = slowLayer * haste_;
  if (!view_.gcode() && builder_.shown().build)
    for (const auto& layer : builder_.shown().build->print.layers)
      if (std::abs(layer->top - view_.range().second) < 1e-6) {
        seconds = layer->use.seconds();
      }
  const double share = view_.drawnShare() + frame / 1000.0 * haste_ / std::max(seconds, 1e-3);
  if (share < 1) return view_.setDrawnShare(share);
  if (view_.range().second >= view_.height() - 1e-6) {
    view_.setDrawnShare(1);
    return playing_.stop();
  }
  step(1);
  view_.setDrawnShare(0);
}

std::optional<std::pair<double, double>> Strip::zoneHeights() const {
  const Chosen chosen = view_.chosen();
  if (chosen.kind != Chosen::zone || view_.selectedPart() < 0) return std::nullopt;
  const Part& part = *document_.project()->parts[view_.selection().back()];
  if (chosen.index >= part.zones.size()) return std::nullopt;
  const ZoneFigures figures = figuresOf(part.zones[chosen.index], transformOf(part.placement, *part.mesh));
  return std::pair(figures.centre.z() - figures.size.z() / 2, figures.centre.z() + figures.size.z() / 2);
}

void Strip::moveZone(double z, bool continuing) {
  const std::size_t p = view_.selection().back(), index = view_.chosen().index;
  const Part& part = *document_.project()->parts[p];
  ZoneFigures figures = figuresOf(part.zones[index], transformOf(part.placement, *part.mesh));
  figures.centre.z() = z;
  ChangeZone change{p, index};
  change.figures = figures;
  document_.perform(change, continuing);
}

std::optional<Vec3> Strip::placeAt(const QPointF& pixel) const {
  const std::optional<double> x = laneX(StripLane::starts);
  if (!x) return std::nullopt;
  const Symbol* nearest = nullptr;
  double away = 8;
  for (const Symbol& symbol : symbols_)
    if (const double distance = std::hypot(pixel.x() - *x, pixel.y() - pixelOf(symbol.at.z()));
        distance < away || (nearest && distance == away && symbol.bare && !nearest->bare)) {
      away = distance;
      nearest = &symbol;
    }
  return nearest ? std::optional(nearest->at) : std::nullopt;
}

QString Strip::wordsAt(double z) const {
  const auto level = std::find_if(levels_.begin(), levels_.end(), [&](const Level& l) { return z < l.top; });
  if (level == levels_.end()) return {};
  QString words = tr("%1 mm: part %2 mm², support %3 mm²")
                      .arg(level->top, 0, 'f', 2)
                      .arg(level->part, 0, 'f', 0)
                      .arg(level->support, 0, 'f', 0);
  if (level->lean > 0) words += tr("\nworst lean %1°").arg(level->lean, 0, 'f', 0);
  if (level->deflection > 0.005) words += tr("\ngives way by %1 mm to 1 N").arg(level->deflection, 0, 'f', 2);
  if (level->seconds > 0) words += tr("\ntakes %1 s").arg(level->seconds, 0, 'f', 0);
  if (level->held) words += tr("\nheld by support");
  if (level->lands) words += tr("\nsupport takes hold here");
  const auto starts = std::count_if(symbols_.begin(), symbols_.end(), [&](const Symbol& s) {
    return s.at.z() >= level->bottom - 1e-6 && s.at.z() < level->top - 1e-6;
  });
  if (starts > 0)
    words += starts == 1 ? tr("\na floating start: click to go there")
                         : tr("\n%1 floating starts: click to go there").arg(starts);
  return words;
}

bool Strip::event(QEvent* event) {
  if (event->type() != QEvent::ToolTip) return QFrame::event(event);
  const auto* help = static_cast<QHelpEvent*>(event);
  for (const StripLane lane : lanes_)
    if (help->pos().y() < marginTop - 8 && std::abs(help->pos().x() - *laneX(lane)) < 14) {
      QToolTip::showText(help->globalPos(), helpOf(lane), this);
      return true;
    }
  const QString words = help->pos().y() > marginTop - 6 && help->pos().y() < height() - marginBottom
                            ? wordsAt(heightAt(help->pos().y()))
                            : QString();
  QToolTip::showText(help->globalPos(), words.isEmpty() ? toolTip() : words, this);
  return true;
}

void Strip::mousePressEvent(QMouseEvent* event) {
  if (event->button() != Qt::LeftButton) return;
  const double y = event->position().y();
  if (hand_.brush().tool == Tool::band && view_.selectedPart() >= 0) {
    band_ = {heightAt(y), heightAt(y)};
    return;
  }
  if (const auto place = placeAt(event->position())) {
    pressedSymbol_ = true;
    return view_.goTo(*place);
  }
  if (const auto zone = zoneHeights();
      zone && event->position().x() > width() - 34 && heightAt(y) > zone->first - 1 && heightAt(y) < zone->second + 1) {
    zoneFrom_ = heightAt(y) - (zone->first + zone->second) / 2;
    zoneMoved_ = false;
    return;
  }
  draggingHigh_ =
      std::abs(y - pixelOf(std::min(view_.range().second, top()))) <= std::abs(y - pixelOf(view_.range().first));
  mouseMoveEvent(event);
}

void Strip::mouseMoveEvent(QMouseEvent* event) {
  if (!(event->buttons() & Qt::LeftButton) || levels_.empty() || pressedSymbol_) return;
  if (zoneFrom_) {
    moveZone(heightAt(event->position().y()) - *zoneFrom_, zoneMoved_);
    zoneMoved_ = true;
    return;
  }
  if (band_) {
    band_->second = heightAt(event->position().y());
    return update();
  }
  const double z = snapped(heightAt(event->position().y()));
  const auto [low, high] = view_.range();
  if (draggingHigh_)
    view_.setRange(low, std::max(z, low + 1e-3));
  else
    view_.setRange(std::min(z, high - 1e-3), high);
}

// A band laid on the strip is one stroke over the selected part.
void Strip::mouseReleaseEvent(QMouseEvent*) {
  pressedSymbol_ = false;
  zoneFrom_.reset();
  if (!band_) return;
  const auto [low, high] = std::minmax(band_->first, band_->second);
  const BandStroke stroke{low, high};
  band_.reset();
  update();
  if (stroke.to - stroke.from < 0.05) return;
  document_.perform(hand_.brush().laying(view_.selection().back(), stroke, false, false));
}

void Strip::wheelEvent(QWheelEvent* event) {
  const int notches = event->angleDelta().y() > 0 ? 1 : -1;
  step(notches * (event->modifiers() & Qt::ShiftModifier ? 10 : 1));
}

}  // namespace trellis
