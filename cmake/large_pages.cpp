// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <fcntl.h>
#include <mimalloc.h>
#include <unistd.h>

// The first memory comes in pages of 2 MiB where the system gives them (Documentation/admin-guide/mm/transhuge.rst
// of Linux). A plan of 100,000 touches twenty thousand of 4 KiB for the first time, which takes up to a tenth of the time
// of a job that finds nearly everything done.

namespace {

/// The allocator asks for such pages first that somebody has set aside: those are not for this program.
bool somebody_sets_pages_aside() {
    const int file = ::open("/proc/sys/vm/nr_hugepages", O_RDONLY | O_CLOEXEC);
    if (file < 0) return false;
    char first = '0';
    const bool is_read = ::read(file, &first, 1) == 1;
    ::close(file);
    return is_read && first != '0';
}

void ask_for_large_pages() {
    if (!somebody_sets_pages_aside()) mi_option_enable(mi_option_large_os_pages);
}

/// Before anything is allocated: the first allocation decides for 32 MiB. (System V ABI: what stands here is
/// called before anything that a library begins with.)
__attribute__((section(".preinit_array"), used)) void (*const at_first)() = ask_for_large_pages;

/// What comes after those: a plan of a million would take a twentieth more, as half of such a page may stay empty,
/// and none goes back.
__attribute__((constructor)) void that_is_enough() { mi_option_disable(mi_option_large_os_pages); }

}  // namespace
