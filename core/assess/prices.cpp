// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/assess/build.hpp"

#include <algorithm>
#include <map>

namespace trellis {

std::vector<Price> pricesOf(const Build& build) {
  std::map<Cause, Price> prices;
  for (const DemandSitePtr& site : build.demand)
    for (const Contact& contact : site->contacts) {
      prices[contact.cause].cause = contact.cause;
      prices[contact.cause].contact += contact.area;
    }
  for (std::size_t p = 0; p < build.support->pieces.size(); ++p) {
    std::map<Cause, double> shares;
    double whole = 0;
    for (const std::size_t site : build.support->pieces[p].sites)
      for (const Contact& contact : build.demand[site]->contacts) {
        shares[contact.cause] += contact.area;
        whole += contact.area;
      }
    const Use& use = build.tally.pieces[p];
    for (const auto& [cause, area] : shares) {
      const double share = whole > 0 ? area / whole : 1.0 / static_cast<double>(shares.size());
      prices[cause].use += use * share;
      prices[cause].removal += build.pieces[p].seconds * share;
    }
  }
  std::vector<Price> result;
  for (const auto& [cause, price] : prices) result.push_back(price);
  return result;
}

Price priceOf(const Build& build, const Cause& cause) {
  const auto found = std::lower_bound(build.prices.begin(), build.prices.end(), cause,
                                      [](const Price& price, const Cause& wanted) { return price.cause < wanted; });
  return found != build.prices.end() && found->cause == cause ? *found : Price{cause, 0, {}};
}

}  // namespace trellis
