# SPDX-FileCopyrightText: Tavlo contributors
# SPDX-License-Identifier: GPL-3.0-or-later
# The warnings that all own code is built with, and the sanitizers where they are asked for.
add_library(tavlo_warnings INTERFACE)
target_compile_options(tavlo_warnings INTERFACE -Wall -Wextra -Wpedantic -Wshadow -Wconversion -Wsign-conversion -Wnon-virtual-dtor -Wold-style-cast
  -Wno-restrict)  # g++ 12 sees an overlap in "text" + std::string that is not there (its bug 105329)
if(CMAKE_UNITY_BUILD)
  target_compile_options(tavlo_warnings INTERFACE -Wno-subobject-linkage)  # it takes the sources for headers
endif()
if(TAVLO_WARNINGS_ARE_ERRORS)
  target_compile_options(tavlo_warnings INTERFACE -Werror)
endif()
if(TAVLO_SANITIZE)
  target_compile_options(tavlo_warnings INTERFACE -Wno-maybe-uninitialized)  # gcc(1): the sanitizers make it see what is not there
  target_compile_options(tavlo_warnings INTERFACE -fsanitize=address,undefined -fno-sanitize-recover=undefined -fno-omit-frame-pointer)
  target_link_options(tavlo_warnings INTERFACE -fsanitize=address,undefined)
endif()
