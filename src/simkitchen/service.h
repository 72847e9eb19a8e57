// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "simkitchen/kitchen.h"
#include "simkitchen/pty_port.h"

#include <map>

namespace simkitchen {

/// The kitchen with its instruments on ports and the control line beside them.
class Service {
  public:
    Service(Kitchen& kitchen, std::string folder, double speed);
    /// Empty when all ports are there, else what is missing.
    std::string problem() const;
    /// Goes on by real time until it is told to quit or the time is over, s (0 = never).
    void serve(double forS, const volatile bool& stop);

  private:
    void listen();
    void answer(const std::string& line);
    void ask(Instrument& instrument, const std::string& line);
    void emit();
    void advance(double seconds);
    /// Waits for readers that are further behind than so many bytes, but not for ever.
    void catchUp(std::size_t mostBehind);
    Kitchen& kitchen_;
    std::string folder_;
    double speed_;
    std::map<std::string, PtyPort> ports_; ///< by instrument
    PtyPort control_;
    bool quit_ = false;
};

} // namespace simkitchen
