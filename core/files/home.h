#pragma once

#include <string>

namespace tavlo {

/// The user's home folder: $HOME, else as getpwuid(3) has it; empty where neither says an absolute path.
std::string home_folder();

}  // namespace tavlo
