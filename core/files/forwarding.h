// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "files/file_system.h"

namespace tavlo {

/// A FileSystem that hands every call on to another: to be derived from by what changes some of them.
class Forwarding : public FileSystem {
public:
    explicit Forwarding(std::unique_ptr<FileSystem> to) : disk(std::move(to)) {}

    using FileSystem::attributes;
    Result<Handle> open_folder(const std::string& path) override { return disk->open_folder(path); }
    Result<Handle> open_folder_in(const Handle& f, const std::string& n) override {
        return disk->open_folder_in(f, n);
    }
    Result<Handle> open_folder_in_mount(const Handle& f, const std::string& n) override {
        return disk->open_folder_in_mount(f, n);
    }
    Result<std::vector<Name>> list(const Handle& f) override { return disk->list(f); }
    Result<Status> status(const Handle& f, const std::string& n) override { return disk->status(f, n); }
    Result<Status> status(const Handle& o) override { return disk->status(o); }
    Result<Volume> volume(const Handle& f) override { return disk->volume(f); }
    Result<VolumeIdentity> volume_identity(const Handle& o) override { return disk->volume_identity(o); }
    Result<std::uint64_t> mount(const Handle& o) override { return disk->mount(o); }
    Result<std::vector<std::string>> mounts_below(const Handle& f) override { return disk->mounts_below(f); }
    Result<std::string> read_link(const Handle& f, const std::string& n) override {
        return disk->read_link(f, n);
    }
    Result<std::string> real_path(const Handle& f) override { return disk->real_path(f); }
    Result<void> may_write(const Handle& f) override { return disk->may_write(f); }
    Result<OpenedFile> open_file(const Handle& f, const std::string& n) override {
        return disk->open_file(f, n);
    }
    Result<std::size_t> read_at(const Handle& f, std::uint64_t o, std::span<std::byte> into) override {
        return disk->read_at(f, o, into);
    }
    Result<Attributes> attributes(const Handle& o, const Status& s) override {
        return disk->attributes(o, s);
    }
    Writer writer(const Handle& f) override { return disk->writer(f); }
    Result<Staged> stage(const Handle& f, const std::string& n, std::uint32_t m) override {
        return disk->stage(f, n, m);
    }
    Result<void> close_check(const Staged& s) override { return disk->close_check(s); }
    Result<void> write_at(const Staged& s, std::uint64_t o, std::span<const std::byte> b) override {
        return disk->write_at(s, o, b);
    }
    bool share_all_blocks(const Handle& a, const Handle& b) override { return disk->share_all_blocks(a, b); }
    Result<void> share_blocks(const Handle& f, const Staged& s) override { return disk->share_blocks(f, s); }
    Result<std::uint64_t> copy_range(const Handle& f, std::uint64_t o, const Staged& s,
                                     std::uint64_t l) override {
        return disk->copy_range(f, o, s, l);
    }
    Result<std::pair<std::uint64_t, std::uint64_t>> next_data(const Handle& f, std::uint64_t o,
                                                              std::uint64_t s) override {
        return disk->next_data(f, o, s);
    }
    void start_writing(const Staged& s, std::uint64_t o, std::uint64_t l) override {
        disk->start_writing(s, o, l);
    }
    Result<void> set_size(const Staged& s, std::uint64_t b) override { return disk->set_size(s, b); }
    Result<std::vector<std::string>> set_attributes(const Handle& o, const Attributes& a) override {
        return disk->set_attributes(o, a);
    }
    std::vector<std::string> cannot_hold(const Handle& o, const Attributes& a) override {
        return disk->cannot_hold(o, a);
    }
    Result<void> set_mode(const Handle& o, std::uint32_t m) override { return disk->set_mode(o, m); }
    Result<void> set_link_attributes(const Handle& f, const std::string& n, const Attributes& a) override {
        return disk->set_link_attributes(f, n, a);
    }
    Result<void> forget_cached(const Handle& f) override { return disk->forget_cached(f); }
    void read_ahead(const Handle& f, std::uint64_t l) override { disk->read_ahead(f, l); }
    Result<void> take_free_name(Staged& s, const Handle& f, const std::string& n) override {
        return disk->take_free_name(s, f, n);
    }
    Result<void> link_file(const Handle& a, const std::string& n, const Handle& b,
                           const std::string& m) override {
        return disk->link_file(a, n, b, m);
    }
    Result<void> make_link(const Handle& f, const std::string& n, const std::string& p) override {
        return disk->make_link(f, n, p);
    }
    Result<void> make_folder(const Handle& f, const std::string& n, std::uint32_t m) override {
        return disk->make_folder(f, n, m);
    }
    Result<void> move_to_free_name(const Handle& a, const std::string& n, const Handle& b,
                                   const std::string& m) override {
        return disk->move_to_free_name(a, n, b, m);
    }
    Result<void> exchange(const Handle& a, const std::string& n, const Handle& b,
                          const std::string& m) override {
        return disk->exchange(a, n, b, m);
    }
    Result<void> remove_file(const Handle& f, const std::string& n) override {
        return disk->remove_file(f, n);
    }
    Result<void> remove_empty_folder(const Handle& f, const std::string& n) override {
        return disk->remove_empty_folder(f, n);
    }
    Result<void> sync(const Handle& o) override { return disk->sync(o); }
    Result<void> sync_volume(const Handle& f) override { return disk->sync_volume(f); }

    std::unique_ptr<FileSystem> disk;
};

}  // namespace tavlo
