// SPDX-License-Identifier: GPL-3.0-or-later
// Little-endian packing of plain values, with every read checked against the end.
#pragma once

#include "core/base/error.hpp"

#include <cstring>
#include <string>
#include <string_view>
#include <type_traits>
#include <vector>

namespace trellis {

class ByteWriter {
 public:
  ByteWriter() { bytes_.reserve(64); }

  template <typename T>
  requires std::is_trivially_copyable_v<T>
  void put(const T& value) { bytes_.append(reinterpret_cast<const char*>(&value), sizeof value); }
  void putText(std::string_view text) {
    put(static_cast<std::uint64_t>(text.size()));
    bytes_.append(text);
  }
  template <typename T>
  void putAll(const std::vector<T>& values) {
    put(static_cast<std::uint64_t>(values.size()));
    bytes_.append(reinterpret_cast<const char*>(values.data()), values.size() * sizeof(T));
  }
  std::string take() { return std::move(bytes_); }

 private:
  std::string bytes_;
};

// Throws Error as soon as something is missing; what says what was being read.
class ByteReader {
 public:
  ByteReader(std::string_view bytes, std::string what) : rest_(bytes), what_(std::move(what)) {}

  template <typename T>
  T get() {
    T value{};
    std::memcpy(static_cast<void*>(&value), take(sizeof(T)).data(), sizeof(T));
    return value;
  }
  std::string getText() { return std::string(take(get<std::uint64_t>())); }
  template <typename T>
  std::vector<T> getAll() {
    const auto count = get<std::uint64_t>();
    if (count > rest_.size() / sizeof(T)) fail();
    std::vector<T> values(count);
    if (count) std::memcpy(static_cast<void*>(values.data()), take(count * sizeof(T)).data(), count * sizeof(T));
    return values;
  }
  bool atEnd() const { return rest_.empty(); }
  [[noreturn]] void fail() const {
    throw Error(say("{} is damaged: it ends too early or holds impossible counts.", what_));
  }

 private:
  std::string_view take(std::uint64_t count) {
    if (count > rest_.size()) fail();
    const std::string_view taken = rest_.substr(0, count);
    rest_.remove_prefix(count);
    return taken;
  }

  std::string_view rest_;
  std::string what_;
};

}  // namespace trellis
