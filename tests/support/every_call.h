// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cerrno>
#include <functional>
#include <optional>
#include <stdexcept>
#include <thread>

#include "support/jobs.h"

/// A FileSystem that asks before each call that can fail on a disk: nothing, and the call is made; an error,
/// and it fails so.
class EveryCall : public ForwardingFileSystem {
public:
    Result<Handle> open_folder_in(const Handle& f, const std::string& n) override {
        return made([&] { return disk->open_folder_in(f, n); });
    }
    Result<tavlo::Status> status(const Handle& f, const std::string& n) override {
        return made([&] { return disk->status(f, n); });
    }
    Result<tavlo::Status> status(const Handle& o) override { return disk->status(o); }
    Result<tavlo::OpenedFile> open_file(const Handle& f, const std::string& n) override {
        return made([&] { return disk->open_file(f, n); });
    }
    Result<std::size_t> read_at(const Handle& f, std::uint64_t o, std::span<std::byte> into) override {
        return made([&] { return disk->read_at(f, o, into); });
    }
    Result<tavlo::Attributes> attributes(const Handle& o, const tavlo::Status& s) override {
        return made([&] { return disk->attributes(o, s); });
    }
    Result<Handle> open_folder_in_mount(const Handle& f, const std::string& n) override {
        return made([&] { return disk->open_folder_in_mount(f, n); });
    }
    Result<Staged> stage(const Handle& f, const std::string& n, std::uint32_t m) override {
        return made([&] { return disk->stage(f, n, m); });
    }
    Result<void> close_check(const Staged& s) override {
        return made([&] { return disk->close_check(s); });
    }
    Result<void> write_at(const Staged& s, std::uint64_t o, std::span<const std::byte> b) override {
        const auto error = before_call();
        if (!error) return disk->write_at(s, o, b);
        (void)disk->write_at(s, o, b.first(b.size() / 2));  // a disk that fills up, or breaks, in the middle
        return tavlo::failure(*error);
    }
    Result<std::vector<std::string>> set_attributes(const Handle& o, const tavlo::Attributes& a) override {
        return made([&] { return disk->set_attributes(o, a); });
    }
    Result<void> take_free_name(Staged& s, const Handle& f, const std::string& n) override {
        return made([&] { return disk->take_free_name(s, f, n); });
    }
    Result<void> link_file(const Handle& a, const std::string& n, const Handle& b,
                           const std::string& m) override {
        return made([&] { return disk->link_file(a, n, b, m); });
    }
    Result<void> make_link(const Handle& f, const std::string& n, const std::string& p) override {
        return made([&] { return disk->make_link(f, n, p); });
    }
    Result<void> make_folder(const Handle& f, const std::string& n, std::uint32_t m) override {
        return made([&] { return disk->make_folder(f, n, m); });
    }
    Result<void> move_to_free_name(const Handle& a, const std::string& n, const Handle& b,
                                   const std::string& m) override {
        return made([&] { return disk->move_to_free_name(a, n, b, m); });
    }
    Result<void> exchange(const Handle& a, const std::string& n, const Handle& b,
                          const std::string& m) override {
        return made([&] { return disk->exchange(a, n, b, m); });
    }
    Result<void> remove_file(const Handle& f, const std::string& n) override {
        return made([&] { return disk->remove_file(f, n); });
    }
    Result<void> remove_empty_folder(const Handle& f, const std::string& n) override {
        return made([&] { return disk->remove_empty_folder(f, n); });
    }
    Result<void> sync(const Handle& o) override {
        return made([&] { return disk->sync(o); });
    }
    Result<void> sync_volume(const Handle& f) override {
        return made([&] { return disk->sync_volume(f); });
    }

private:
    /// On the thread that makes the call.
    virtual std::optional<tavlo::Error> before_call() = 0;

    template <class Call>
    auto made(Call call) -> decltype(call()) {
        if (const auto error = before_call()) return tavlo::failure(*error);
        return call();
    }
};

/// What happens at the nth call on the thread that made this.
class AtCall final : public EveryCall {
public:
    using Then = std::function<std::optional<tavlo::Error>()>;
    AtCall(int nth, Then then) : nth_(nth), then_(std::move(then)) {}
    bool was_reached() const { return calls_ > nth_; }

    static std::optional<tavlo::Error> fails() { return tavlo::Error{tavlo::Fault::io, EIO, "test", ""}; }
    static std::optional<tavlo::Error> dies() { throw std::runtime_error("the process ends here"); }

private:
    std::optional<tavlo::Error> before_call() override {
        if (std::this_thread::get_id() != began_) return std::nullopt;
        return calls_++ == nth_ ? then_() : std::nullopt;
    }
    const int nth_;
    const Then then_;
    int calls_ = 0;
    const std::thread::id began_ = std::this_thread::get_id();
};

/// A run that may end in the middle, as the process does.
inline void carry_out_until_it_dies(AtCall& dying, tavlo::Store& store, const tavlo::Plan& plan) {
    try {
        (void)tavlo::carry_out(dying, store, plan, {});
    } catch (const std::runtime_error&) {
    }
}
