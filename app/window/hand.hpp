// SPDX-License-Identifier: GPL-3.0-or-later
// What the hand holds.
#pragma once

#include "app/window/view.hpp"
#include "core/assess/removal.hpp"
#include "core/document/operations.hpp"
#include "core/mesh/symmetry.hpp"

#include <map>
#include <optional>

namespace trellis {

// What the left button does in the scene. The first six have the keys 0 to 5.
enum class Tool { pick, ball, sight, face, site, band, zone, prop, remove, measure };

struct Brush {
  Tool tool = Tool::pick;
  Mark mark = Mark::enforce;  // without its tint
  int tint = 0;
  Coat coat = Coat::support;
  double radius = 3;  // mm, 0.15–30
  bool keepToOverhangs = false;
  double crease = 20;  // degrees
  bool stopAtCreases = false;
  bool twin = false;  // strokes are laid on both sides of the part
  ZoneAs zoneAs = ZoneAs::enforce;
  ZoneShape zoneShape = ZoneShape::box;
  MeshPtr zoneSolid = {};  // for zones of any shape, in the unit cube
  double propWidth = 3;    // mm
  Reach reach = Reach::column;
  double disc = usualDisc;  // mm across, that Remove cuts out of a close outline
  bool keepOnly = false;    // Remove takes everything else away

  // What the brush lays on a part: with shift it blocks, with clear it takes away.
  LayMark laying(std::size_t part, Stroke stroke, bool shift, bool clear) const;
  bool lays() const { return tool >= Tool::ball && tool <= Tool::band; }
  bool isRound() const { return tool == Tool::ball || tool == Tool::sight; }
};

class Hand : public QObject {
  Q_OBJECT
 public:
  Hand(Document& document, View& view, Activity& activity, QObject* parent = nullptr);

  // What the left button does; while settling, it puts the face under the pointer on the plate.
  const Brush& brush() const { return brush_; }
  void setBrush(const Brush& brush);
  bool isSettling() const { return settling_; }
  void setSettling(bool settling);

  // The plane twin strokes are laid across, of the selected part and in its mesh's coordinates: found, or set
  // through the part's middle along an axis of the mesh. Nothing while it is being looked for.
  std::optional<Symmetry> twinPlane() const;
  void setTwinAxis(int axis);  // −1: as found
  int twinAxis() const { return twinAxis_; }

 Q_SIGNALS:
  void brushChanged();

 private:
  void findTwin();

  Document& document_;
  View& view_;
  Activity& activity_;
  Brush brush_;
  bool settling_ = false;
  std::map<Key, Symmetry> symmetries_;  // by mesh
  int twinAxis_ = -1;
};

}  // namespace trellis
