# SPDX-FileCopyrightText: Tavlo contributors
# SPDX-License-Identifier: GPL-3.0-or-later
# What one thread makes another lets go of: names, plans, receipts by the million. With mimalloc no thread waits
# for another in that, the interface's least of all (8 to 10 % of a run's time on two processors). Without it the
# C library's serves. Not with the sanitizers, which bring their own; nor in the helpers, whose memory is bounded.
find_package(mimalloc QUIET)

function(tavlo_use_mimalloc)
  if(mimalloc_FOUND AND NOT TAVLO_SANITIZE)
    foreach(program IN LISTS ARGN)
      target_link_libraries(${program} PRIVATE -Wl,--push-state,--no-as-needed mimalloc -Wl,--pop-state)
    endforeach()
  endif()
endfunction()

# For programs that end soon; see there.
function(tavlo_use_large_pages program)
  if(mimalloc_FOUND AND NOT TAVLO_SANITIZE)
    target_sources(${program} PRIVATE ${CMAKE_CURRENT_FUNCTION_LIST_DIR}/large_pages.cpp)
  endif()
endfunction()
