// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/support/branch_graph.hpp"

#include "core/support/column_descent.hpp"

#include <algorithm>
#include <cmath>
#include <map>

namespace trellis {

namespace {

constexpr double eps = 1e-7;         // mm
constexpr double turn = 0.24;        // of tangent per level: thirteen degrees near vertical
constexpr double touch = 1.0;        // mm at which two branches may become one
constexpr int reached = 7;           // levels below a neck in which a place that leads down is looked for
constexpr double farthest = 24;      // mm between branches that still seek each other
constexpr double gathering = 22;     // mm of height under which branches gather for one foot
constexpr double gathered = 9;       // mm from one branch to those that share a new foot with it
constexpr double farthestFoot = 12;  // mm from a branch to a foot that it goes to
constexpr double thickening = 0.12;  // mm of radius per mm of height, going down
constexpr double thinning = 0.07;    // and where it gets tight again
constexpr double loadExponent = 0.25;
constexpr double sturdy = 1.1;  // times as thick as steadiness asks for: outlines are rounded, and branches begin thin

struct Agent {
  std::uint32_t node;
  Vec2 at, drift = Vec2::Zero();            // drift is mm sideways per level
  bool forks = false;                       // others have just come to it: from there it goes on in any direction
  std::optional<Vec2> foot = std::nullopt;  // where it is to stand, low down
  double load = 1;
  bool isOut = false;
};

class Grower {
 public:
  Grower(const std::vector<Tip>& tips, const Reachability& ways, const SupportRules& rules)
      : tips_(tips), ways_(ways), rules_(rules) {}

  BranchGraph grow(const Progress& progress) {
    std::map<int, std::vector<Agent>> starts;
    for (std::uint32_t tip = 0; tip < tips_.size(); ++tip) plant(tip, starts);
    for (int level = starts.empty() ? 0 : starts.rbegin()->first; level > 0; --level) {
      progress.check();
      if (const auto fresh = starts.find(level); fresh != starts.end())
        agents_.insert(agents_.end(), fresh->second.begin(), fresh->second.end());
      descend(level);
    }
    sortDownward();
    smooth();
    thicken();
    spreadFeet();
    return std::move(grove_);
  }

 private:
  std::uint32_t add(const Vec2& at, double z, double radius, double room) {
    grove_.nodes.push_back({{at.x(), at.y(), z}, radius, BranchNode::none, false, 0, room, BranchNode::none});
    return static_cast<std::uint32_t>(grove_.nodes.size() - 1);
  }
  std::uint32_t addBelow(std::uint32_t above, const Vec2& at, double z, double radius, double room) {
    return grove_.nodes[above].below = add(at, z, radius, room);
  }

  // From its top straight down to its neck, then to the first place that leads down.
  void plant(std::uint32_t number, std::map<int, std::vector<Agent>>& starts) {
    const Tip& tip = tips_[number];
    const Vec2 at = tip.neck.head<2>();
    const double widening = wideningOf(rules_), highest = tip.top + slopeSlack;
    const double neck = std::max(tip.neck.z(), rules_.floor);
    const std::uint32_t top = add(at, highest, neckRadius(rules_) + (highest - tip.neck.z()) * widening, 0);
    grove_.tops.push_back(top);
    grove_.nodes[top].tip = number;
    const std::uint32_t from = addBelow(top, at, neck, neckRadius(rules_) + (neck - tip.neck.z()) * widening, 0);
    if (neck < rules_.floor + eps) return void(grove_.nodes[from].tip = number);
    const int first = static_cast<int>(std::floor((neck - rules_.floor) / ways_.rise() - 0.3));
    for (int level = std::min(first, ways_.levels() - 1); level > 0 && level > first - reached; --level) {
      const double drop = neck - ways_.heightOf(level);
      const auto start = ways_.nearestWay(level, at, std::max(0.0, drop - 0.3) * ways_.reach() / ways_.rise());
      if (!start) continue;
      const std::uint32_t node =
          addBelow(from, *start, ways_.heightOf(level), neckRadius(rules_), ways_.room(level, *start));
      return starts[level].push_back({node, *start, (*start - at) * std::min(ways_.rise() / drop, 1.0)});
    }
    fall(from, at);
  }

  void fall(std::uint32_t from, const Vec2& at) {
    grove_.nodes[from].falls = true;
    addBelow(from, at, rules_.floor, grove_.nodes[from].radius, 0);
  }

  void descend(int level) {
    findGoals(level);
    std::vector<Vec2> next(agents_.size());
    for (std::size_t i = 0; i < agents_.size(); ++i) {
      Agent& agent = agents_[i];
      std::optional<Vec2> step;
      if (!ways_.isOverLanding(level, agent.at))
        step = ways_.stepTowards(level, agent.at, wishOf(i, level), agent.drift, agent.forks ? ways_.reach() : turn);
      if (step) {
        next[i] = *step;
      } else {  // it has arrived over where it stands, or can go on only by itself
        fall(agent.node, agent.at);
        agent.isOut = true;
      }
    }
    move(level, next);
    std::erase_if(agents_, [](const Agent& agent) { return agent.isOut; });
  }

  // Where each is to meet others: high up its nearest neighbour, so that they soon go on as one; lower down at a common
  // foot.
  void findGoals(int level) {
    if (level * ways_.rise() < gathering) findFeet(level);
    goals_.assign(agents_.size(), std::nullopt);
    std::vector<std::pair<double, std::size_t>> near;
    for (std::size_t i = 0; i < agents_.size(); ++i) {
      goals_[i] = agents_[i].foot;
      if (goals_[i]) continue;
      near.clear();
      for (std::size_t j = 0; j < agents_.size(); ++j)
        if (const double away = (agents_[i].at - agents_[j].at).norm(); j != i && away < farthest)
          near.emplace_back(away, j);
      std::sort(near.begin(), near.end());
      constexpr std::size_t asked = 4;
      for (std::size_t k = 0; k < near.size() && k < asked && !goals_[i]; ++k) {
        const Agent &one = agents_[i], &other = agents_[near[k].second];
        const Vec2 middle = (one.at + other.at) / 2;
        if (canGet(one, middle, level) && canGet(other, middle, level)) goals_[i] = middle;
      }
    }
  }

  // Those without a foot go to one that is there already, or to the middle of those around them.
  void findFeet(int level) {
    for (std::size_t i = 0; i < agents_.size(); ++i) {
      if (agents_[i].foot && !canGet(agents_[i], *agents_[i].foot, level)) agents_[i].foot = std::nullopt;
      if (agents_[i].foot) continue;
      const auto foot = std::min_element(feet_.begin(), feet_.end(), [&](const Vec2& a, const Vec2& b) {
        return (a - agents_[i].at).norm() < (b - agents_[i].at).norm();
      });
      if (foot != feet_.end() && (*foot - agents_[i].at).norm() < farthestFoot && canGet(agents_[i], *foot, level)) {
        agents_[i].foot = *foot;
        continue;
      }
      std::vector<std::size_t> group;
      for (std::size_t j = 0; j < agents_.size(); ++j)
        if (!agents_[j].foot && (agents_[j].at - agents_[i].at).norm() < gathered) group.push_back(j);
      Vec2 middle = Vec2::Zero();
      for (const std::size_t j : group) middle += agents_[j].at / static_cast<double>(group.size());
      std::erase_if(group, [&](std::size_t j) { return !canGet(agents_[j], middle, level); });
      if (group.size() < 2) continue;
      feet_.push_back(middle);
      for (const std::size_t j : group) agents_[j].foot = middle;
    }
  }

  bool canGet(const Agent& agent, const Vec2& goal, int level) const {
    return dropFor((goal - agent.at).norm()) < level && canReach(agent, goal, level);
  }

  // Levels until a branch that starts to move is so far away, or near enough to become one with what comes from
  // the other side.
  double dropFor(double away) const {
    const double far = std::max(0.0, away - touch / 2), ramp = ways_.reach() * ways_.reach() / turn / 2;
    return far < ramp ? std::sqrt(2 * far / turn) : (far + ramp) / ways_.reach();
  }

  bool canReach(const Agent& agent, const Vec2& goal, int level) const {
    const Vec2 way = goal - agent.at;
    const int steps = static_cast<int>(std::ceil(way.norm() / ways_.reach()));
    for (int k = 1; k <= steps; ++k)
      if (level - k < 1 || !ways_.leads(level - k, agent.at + way * k / steps)) return false;
    return true;
  }

  // mm sideways it would like to go in the next level.
  Vec2 wishOf(std::size_t i, int level) const {
    const Agent& agent = agents_[i];
    if (goals_[i]) return *goals_[i] - agent.at;
    const auto down = ways_.descend(level, agent.at);
    return down ? Vec2(*down - agent.at) : Vec2(0, 0);
  }

  // Whether both can go on from one place; there they may turn.
  bool fit(const Agent& a, const Agent& b, const Vec2& at) const {
    const Vec2 ofA = at - a.at, ofB = at - b.at;
    return std::max(ofA.norm(), ofB.norm()) < ways_.reach() / Reachability::steepness;
  }

  // All take their step; those that meet go on as one.
  void move(int level, const std::vector<Vec2>& next) {
    const double z = ways_.heightOf(level - 1);
    for (std::size_t i = 0; i < agents_.size(); ++i) {
      Agent& agent = agents_[i];
      if (agent.isOut) continue;
      Vec2 at = next[i];
      std::size_t other = i + 1;
      for (; other < agents_.size(); ++other) {
        if (agents_[other].isOut || (next[other] - next[i]).norm() > touch) continue;
        at = (next[i] * agent.load + next[other] * agents_[other].load) / (agent.load + agents_[other].load);
        if (ways_.leads(level - 1, at) && fit(agent, agents_[other], at)) break;
        at = next[i];
      }
      const std::uint32_t node = addBelow(agent.node, at, z, neckRadius(rules_), ways_.room(level - 1, at));
      Vec2 drift = at - agent.at;
      agent.forks = other < agents_.size();
      if (other < agents_.size()) {
        const Vec2 theirs = at - agents_[other].at;
        grove_.nodes[agents_[other].node].below = node;
        agents_[other].isOut = true;
        agent.load += agents_[other].load;
        drift = (drift + theirs) / 2;
      }
      agent.drift = drift;
      agent.at = at;
      agent.node = node;
    }
  }

  void sortDownward() {
    std::vector<std::uint32_t> order(grove_.nodes.size()), place(order.size());
    for (std::uint32_t k = 0; k < order.size(); ++k) order[k] = k;
    std::stable_sort(order.begin(), order.end(),
                     [&](std::uint32_t a, std::uint32_t b) { return grove_.nodes[a].at.z() > grove_.nodes[b].at.z(); });
    std::vector<BranchNode> nodes;
    for (std::uint32_t k = 0; k < order.size(); ++k) {
      place[order[k]] = k;
      nodes.push_back(grove_.nodes[order[k]]);
    }
    for (BranchNode& node : nodes)
      if (node.below != BranchNode::none) node.below = place[node.below];
    for (std::uint32_t& top : grove_.tops) top = place[top];
    grove_.nodes = std::move(nodes);
  }

  // mm sideways per mm down.
  Vec2 slopeOf(std::uint32_t k) const {
    const BranchNode &node = grove_.nodes[k], &below = grove_.nodes[node.below];
    return (below.at - node.at).head<2>() / (node.at.z() - below.at.z());
  }

  // How sharply a branch turns at a node: forks may turn, and tips widen from their necks.
  double kinkAt(std::uint32_t k) const {
    double kink = 0;
    if (grove_.nodes[k].below == BranchNode::none || grove_.nodes[k].tip != BranchNode::none || above_[k].size() > 1)
      return kink;
    for (const std::uint32_t child : above_[k])
      if (grove_.nodes[child].tip == BranchNode::none) kink = std::max(kink, (slopeOf(child) - slopeOf(k)).norm());
    return kink;
  }

  // Squared and summed, with those beside it.
  double bendingAround(std::uint32_t k) const {
    const auto squared = [](double kink) { return kink * kink; };
    double sum = squared(kinkAt(k)) + squared(kinkAt(grove_.nodes[k].below));
    for (const std::uint32_t child : above_[k]) sum += squared(kinkAt(child));
    return sum;
  }

  // Where something was in the way and a branch had to turn sharply, the turn is spread over its neighbours.
  void smooth() {
    std::vector<BranchNode>& nodes = grove_.nodes;
    above_.assign(nodes.size(), {});
    for (std::uint32_t k = 0; k < nodes.size(); ++k)
      if (nodes[k].below != BranchNode::none) above_[nodes[k].below].push_back(k);
    constexpr int passes = 60;
    bool any = true;
    for (int pass = 0; pass < passes && any; ++pass) {
      any = false;
      for (std::uint32_t k = 0; k < nodes.size(); ++k)
        if (nodes[k].room > 0 && nodes[k].below != BranchNode::none && !above_[k].empty() && kinkAt(k) > turn)
          any = straighten(k) || any;
    }
  }

  // Moves a node towards the line through its neighbours if that helps and there is room.
  bool straighten(std::uint32_t k) {
    BranchNode& node = grove_.nodes[k];
    const BranchNode before = node;
    const double bending = bendingAround(k);
    Vec2 slope = Vec2::Zero();
    for (const std::uint32_t child : above_[k]) slope += slopeOf(child) / static_cast<double>(above_[k].size());
    const double down = node.at.z() - grove_.nodes[node.below].at.z();
    node.at.head<2>() -= (slope - slopeOf(k)) * down / 4;
    const int level = static_cast<int>(std::lround((node.at.z() - rules_.floor) / ways_.rise()));
    node.room = ways_.room(level, node.at.head<2>());
    if (node.room >= neckRadius(rules_) && bendingAround(k) < bending - 1e-4 && !leansTooMuch(k)) return true;
    node = before;
    return false;
  }

  // Whether what ends at a node, or goes on from it, leans more than branches may.
  bool leansTooMuch(std::uint32_t k) const {
    const double most = std::tan(toRadians(rules_.branchLean));
    return slopeOf(k).norm() > most || std::any_of(above_[k].begin(), above_[k].end(),
                                                   [&](std::uint32_t child) { return slopeOf(child).norm() > most; });
  }

  // From the tips down by load and height, as far as there is room, and never suddenly; then up again, where it gets
  // tight.
  void thicken() {
    std::vector<BranchNode>& nodes = grove_.nodes;
    std::vector<double> load(nodes.size(), 0), gradual(nodes.size(), neckRadius(rules_));
    for (std::size_t t = 0; t < tips_.size(); ++t) load[grove_.tops[t]] += !tips_[t].ghost;
    for (std::size_t k = 0; k < nodes.size(); ++k) {
      BranchNode& node = nodes[k];
      if (load[k] == 0) continue;
      node.top = std::max(node.top, node.at.z() - rules_.floor);
      if (node.tip == BranchNode::none)
        node.radius = std::min(gradual[k], branchRadius(node.top, node.at.z() - rules_.floor, load[k], rules_));
      if (node.room > 0) node.radius = std::max(neckRadius(rules_), std::min(node.radius, node.room));
      if (node.below == BranchNode::none) continue;
      const double grown =
          nodes[node.below].room > 0 || node.falls ? thickening * (node.at.z() - nodes[node.below].at.z()) : 0;
      load[node.below] += load[k];
      nodes[node.below].top = std::max(nodes[node.below].top, node.top);
      gradual[node.below] =
          std::max(gradual[node.below], (node.tip != BranchNode::none ? neckRadius(rules_) : node.radius) + grown);
    }
    for (std::size_t k = nodes.size(); k-- > 0;)
      if (nodes[k].below != BranchNode::none && nodes[k].tip == BranchNode::none)
        nodes[k].radius = std::min(nodes[k].radius, nodes[nodes[k].below].radius +
                                                        thinning * (nodes[k].at.z() - nodes[nodes[k].below].at.z()));
    prune(load);
  }

  // Without what carries nothing but ghosts.
  void prune(const std::vector<double>& load) {
    std::vector<std::uint32_t> place(load.size(), BranchNode::none);
    std::vector<BranchNode> kept;
    for (std::size_t k = 0; k < load.size(); ++k) {
      if (load[k] == 0) continue;
      place[k] = static_cast<std::uint32_t>(kept.size());
      kept.push_back(grove_.nodes[k]);
    }
    for (BranchNode& node : kept)
      if (node.below != BranchNode::none) node.below = place[node.below];
    for (std::uint32_t& top : grove_.tops) top = place[top];
    grove_.nodes = std::move(kept);
  }

  // What ends on the floor spreads evenly over the height of a foot, however few nodes that has; short branches less.
  void spreadFeet() {
    std::vector<BranchNode>& nodes = grove_.nodes;
    std::vector<double> spread(nodes.size(), 0);
    for (std::size_t k = nodes.size(); k-- > 0;) {
      BranchNode& node = nodes[k];
      if (node.tip != BranchNode::none || node.falls) continue;
      if (node.below != BranchNode::none)
        spread[k] = spread[node.below];
      else if (node.room > 0)
        spread[k] = std::max(
            0.0, (rules_.footWidth > 0 ? rules_.footWidth / 2 : node.radius + std::min(node.radius, node.top / 10)) -
                     node.radius);
      const double height = node.at.z() - rules_.floor;
      if (height < rules_.footHeight) node.radius += spread[k] * (1 - height / rules_.footHeight);
    }
  }

  static constexpr double slopeSlack =
      0.3;  // mm a tip reaches over its highest known place: places are a lattice apart

  const std::vector<Tip>& tips_;
  const Reachability& ways_;
  const SupportRules& rules_;
  BranchGraph grove_;
  std::vector<std::vector<std::uint32_t>> above_;  // of each node
  std::vector<Agent> agents_;
  std::vector<std::optional<Vec2>> goals_;  // of each agent
  std::vector<Vec2> feet_;
};

}  // namespace

double branchRadius(double top, double height, double load, const SupportRules& rules) {
  const double tip = neckRadius(rules);
  if (rules.trunkWidth > 0) return std::max(tip, tip + (rules.trunkWidth / 2 - tip) * (top - height) / top);
  const double length = top - height, least = length > freeBranch ? leastBranch / 2 : 0;
  return std::max({tip * std::pow(load, loadExponent), least, sturdy * length * leastSteadiness / 2});
}

BranchGraph growBranchGraph(const std::vector<Tip>& tips, const Reachability& ways, const SupportRules& rules,
                            const Progress& progress) {
  return Grower(tips, ways, rules).grow(progress);
}

}  // namespace trellis
