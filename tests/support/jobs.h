#pragma once

#include <catch2/catch.hpp>
#include <functional>
#include <memory>
#include <string>
#include <vector>

#include "files/file_system.h"
#include "job/prepare.h"
#include "keep/store.h"
#include "run/run.h"
#include "run/take_back.h"

/// A FileSystem that hands every call on; tests override the calls they want to disturb.
class ForwardingFileSystem : public tavlo::FileSystem {
public:
    using Handle = tavlo::Handle;
    using Staged = tavlo::Staged;
    template <class T>
    using Result = tavlo::Result<T>;

    Result<Handle> open_folder(const std::string& path) override { return disk->open_folder(path); }
    Result<Handle> open_folder_in(const Handle& f, const std::string& n) override { return disk->open_folder_in(f, n); }
    Result<Handle> open_folder_in_mount(const Handle& f, const std::string& n) override { return disk->open_folder_in_mount(f, n); }
    Result<std::vector<tavlo::Name>> list(const Handle& f) override { return disk->list(f); }
    Result<tavlo::Status> status(const Handle& f, const std::string& n) override { return disk->status(f, n); }
    Result<tavlo::Status> status(const Handle& o) override { return disk->status(o); }
    Result<tavlo::Volume> volume(const Handle& f) override { return disk->volume(f); }
    Result<tavlo::VolumeIdentity> volume_identity(const Handle& o) override { return disk->volume_identity(o); }
    Result<std::uint64_t> mount(const Handle& o) override { return disk->mount(o); }
    Result<std::vector<std::string>> mounts_below(const Handle& f) override { return disk->mounts_below(f); }
    Result<std::string> read_link(const Handle& f, const std::string& n) override { return disk->read_link(f, n); }
    Result<std::string> real_path(const Handle& f) override { return disk->real_path(f); }
    Result<void> may_write(const Handle& f) override { return disk->may_write(f); }
    Result<tavlo::OpenedFile> open_file(const Handle& f, const std::string& n) override { return disk->open_file(f, n); }
    Result<std::size_t> read_at(const Handle& f, std::uint64_t o, std::span<std::byte> into) override { return disk->read_at(f, o, into); }
    Result<tavlo::Attributes> attributes(const Handle& o, const tavlo::Status& s) override { return disk->attributes(o, s); }
    tavlo::Writer writer(const Handle& f) override { return disk->writer(f); }
    Result<Staged> stage(const Handle& f, const std::string& n) override { return disk->stage(f, n); }
    Result<void> close_check(const Staged& s) override { return disk->close_check(s); }
    Result<void> write_at(const Staged& s, std::uint64_t o, std::span<const std::byte> b) override { return disk->write_at(s, o, b); }
    bool share_all_blocks(const Handle& a, const Handle& b) override { return disk->share_all_blocks(a, b); }
    Result<void> share_blocks(const Handle& f, const Staged& s) override { return disk->share_blocks(f, s); }
    Result<std::uint64_t> copy_range(const Handle& f, std::uint64_t o, const Staged& s, std::uint64_t l) override {
        return disk->copy_range(f, o, s, l);
    }
    Result<std::pair<std::uint64_t, std::uint64_t>> next_data(const Handle& f, std::uint64_t o, std::uint64_t s) override {
        return disk->next_data(f, o, s);
    }
    void start_writing(const Staged& s, std::uint64_t o, std::uint64_t l) override { disk->start_writing(s, o, l); }
    Result<void> set_size(const Staged& s, std::uint64_t b) override { return disk->set_size(s, b); }
    Result<std::vector<std::string>> set_attributes(const Handle& o, const tavlo::Attributes& a) override {
        return disk->set_attributes(o, a);
    }
    std::vector<std::string> cannot_hold(const Handle& o, const tavlo::Attributes& a) override { return disk->cannot_hold(o, a); }
    Result<void> set_mode(const Handle& o, std::uint32_t m) override { return disk->set_mode(o, m); }
    Result<void> set_link_attributes(const Handle& f, const std::string& n, const tavlo::Attributes& a) override {
        return disk->set_link_attributes(f, n, a);
    }
    Result<void> forget_cached(const Handle& f) override { return disk->forget_cached(f); }
    Result<void> take_free_name(Staged& s, const Handle& f, const std::string& n) override { return disk->take_free_name(s, f, n); }
    Result<void> link_file(const Handle& a, const std::string& n, const Handle& b, const std::string& m) override {
        return disk->link_file(a, n, b, m);
    }
    Result<void> make_link(const Handle& f, const std::string& n, const std::string& p) override { return disk->make_link(f, n, p); }
    Result<void> make_folder(const Handle& f, const std::string& n, std::uint32_t m) override { return disk->make_folder(f, n, m); }
    Result<void> move_to_free_name(const Handle& a, const std::string& n, const Handle& b, const std::string& m) override {
        return disk->move_to_free_name(a, n, b, m);
    }
    Result<void> exchange(const Handle& a, const std::string& n, const Handle& b, const std::string& m) override {
        return disk->exchange(a, n, b, m);
    }
    Result<void> remove_file(const Handle& f, const std::string& n) override { return disk->remove_file(f, n); }
    Result<void> remove_empty_folder(const Handle& f, const std::string& n) override { return disk->remove_empty_folder(f, n); }
    Result<void> sync(const Handle& o) override { return disk->sync(o); }
    Result<void> sync_volume(const Handle& f) override { return disk->sync_volume(f); }

    std::unique_ptr<tavlo::FileSystem> disk = tavlo::make_disk();
};

/// What is true of every receipt, and of a failure, in the words of the test that asked.
template <class T>
T value(tavlo::Result<T> result) {
    if (!result) FAIL(tavlo::describe(result.error()));
    return std::move(*result);
}

/// A run as a test asks for it, with the receipt it left.
struct Ran {
    tavlo::ReceiptHead head;
    std::vector<tavlo::ReceiptItem> items;

    const tavlo::ReceiptItem& item(const std::string& target) const;  ///< by the place first asked for
    std::uint64_t of(tavlo::Outcome outcome) const { return head.totals.of(outcome); }
};

/// Runs and undoes with a store of its own.
class Jobs {
public:
    explicit Jobs(const std::string& state_folder) : store(value(tavlo::Store::open(state_folder))) {}
    /// What a test set aside would else stay in the Safe of whoever runs the tests.
    ~Jobs() { (void)tavlo::empty_safe(*tavlo::make_disk(), *store); }
    Jobs(const Jobs&) = delete;
    Jobs& operator=(const Jobs&) = delete;

    Ran run(const tavlo::Asked& asked, const tavlo::RunOptions& options = {});
    /// Plans on the real disk, then lets `meanwhile` happen, then runs.
    Ran run_after(const tavlo::Asked& asked, const std::function<void()>& meanwhile);
    Ran carry_out(const tavlo::Plan& plan, const tavlo::RunOptions& options = {});
    Ran undo(const std::string& receipt);

    std::unique_ptr<tavlo::FileSystem> disk = tavlo::make_disk();
    std::unique_ptr<tavlo::Store> store;
};

tavlo::Job copy(std::vector<std::string> sources, std::string destination);
tavlo::Job move(std::vector<std::string> sources, std::string destination);
tavlo::Job with(tavlo::Job job, tavlo::Decision otherwise);
