// SPDX-License-Identifier: GPL-3.0-or-later
// The printer's end of a line: a pseudo-terminal, or a local port that one at a time may call.
#pragma once

#include <string>
#include <string_view>

namespace trellis {

class Wire {
 public:
  // tcp: the port; 0 for a pseudo-terminal, to which link, where it is not empty, is a symbolic link. Throws Error.
  Wire(int tcp, std::string link);
  ~Wire();
  Wire(const Wire&) = delete;
  Wire& operator=(const Wire&) = delete;

  const std::string& name() const { return name_; }  // what the other end opens: "/dev/pts/3", "localhost:7725"
  std::string read(double seconds);                  // what came within that time; empty: nothing
  void write(std::string_view bytes);                // what nobody reads is lost
  void drop();                                       // as if it were pulled out
  void plugIn();                                     // again
  bool isCalled() const;                             // by somebody; of a pseudo-terminal always

 private:
  int tcp_;
  std::string link_, name_;
  int listening_ = -1, end_ = -1;
};

}  // namespace trellis
