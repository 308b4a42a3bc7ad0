// SPDX-License-Identifier: GPL-3.0-or-later
#include "printer/wire.hpp"

#include "core/base/error.hpp"

#include <arpa/inet.h>
#include <fcntl.h>
#include <netinet/in.h>
#include <netinet/tcp.h>
#include <poll.h>
#include <stdlib.h>
#include <sys/socket.h>
#include <termios.h>
#include <unistd.h>

#include <array>
#include <cerrno>
#include <chrono>
#include <thread>

namespace trellis {

Wire::Wire(int tcp, std::string link) : tcp_(tcp), link_(std::move(link)) { plugIn(); }

Wire::~Wire() { drop(); }

void Wire::plugIn() {
  if (tcp_ > 0) {
    listening_ = socket(AF_INET, SOCK_STREAM | SOCK_NONBLOCK, 0);
    const int yes = 1;
    setsockopt(listening_, SOL_SOCKET, SO_REUSEADDR, &yes, sizeof yes);
    sockaddr_in address{};
    address.sin_family = AF_INET;
    address.sin_port = htons(static_cast<std::uint16_t>(tcp_));
    address.sin_addr.s_addr = htonl(INADDR_LOOPBACK);
    if (bind(listening_, reinterpret_cast<const sockaddr*>(&address), sizeof address) != 0 ||
        listen(listening_, 1) != 0)
      throw Error("The port " + std::to_string(tcp_) + " is in use. Choose another with --tcp.");
    name_ = "localhost:" + std::to_string(tcp_);
    return;
  }
  end_ = posix_openpt(O_RDWR | O_NOCTTY | O_NONBLOCK);
  if (end_ < 0 || grantpt(end_) != 0 || unlockpt(end_) != 0)
    throw Error("No pseudo-terminal can be had here. Take a port with --tcp.");
  name_ = ptsname(end_);
  termios raw{};  // nothing is echoed or changed on its way
  if (tcgetattr(end_, &raw) == 0) {
    cfmakeraw(&raw);
    tcsetattr(end_, TCSANOW, &raw);
  }
  if (link_.empty()) return;
  unlink(link_.c_str());
  if (symlink(name_.c_str(), link_.c_str()) != 0) throw Error(link_ + " cannot be made a link to " + name_ + ".");
  name_ = link_;
}

void Wire::drop() {
  for (int* fd : {&end_, &listening_}) {
    if (*fd >= 0) close(*fd);
    *fd = -1;
  }
  if (!link_.empty()) unlink(link_.c_str());
}

std::string Wire::read(double seconds) {
  const int milliseconds = static_cast<int>(seconds * 1000);
  pollfd waits{end_ >= 0 ? end_ : listening_, POLLIN, 0};
  if (waits.fd < 0) {
    std::this_thread::sleep_for(std::chrono::duration<double>(seconds));
    return {};
  }
  if (poll(&waits, 1, milliseconds) <= 0) return {};
  if (end_ < 0) {
    end_ = accept4(listening_, nullptr, nullptr, SOCK_NONBLOCK);
    const int yes = 1;
    if (end_ >= 0) setsockopt(end_, IPPROTO_TCP, TCP_NODELAY, &yes, sizeof yes);
    return {};
  }
  std::array<char, 4096> bytes;
  const ssize_t count = ::read(end_, bytes.data(), bytes.size());
  if (count > 0) return {bytes.data(), static_cast<std::size_t>(count)};
  if (tcp_ > 0 && (count == 0 || (errno != EAGAIN && errno != EINTR))) {  // the other end hung up
    close(end_);
    end_ = -1;
  } else {
    std::this_thread::sleep_for(std::chrono::milliseconds(std::min(milliseconds, 20)));  // nobody has it open
  }
  return {};
}

void Wire::write(std::string_view bytes) {
  while (end_ >= 0 && !bytes.empty()) {
    const ssize_t count =
        tcp_ > 0 ? send(end_, bytes.data(), bytes.size(), MSG_NOSIGNAL) : ::write(end_, bytes.data(), bytes.size());
    if (count <= 0) return;
    bytes.remove_prefix(static_cast<std::size_t>(count));
  }
}

bool Wire::isCalled() const { return tcp_ == 0 || end_ >= 0; }

}  // namespace trellis
