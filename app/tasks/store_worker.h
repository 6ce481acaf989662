// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <functional>
#include <memory>
#include <string>
#include <utility>

#include "keep/store.h"
#include "tasks/worker.h"

/// A worker with the store at hand, which it opens once.
class StoreWorker {
public:
    using Sorry = std::function<void(const tavlo::Error&)>;

    StoreWorker(Worker::Serves serves, std::string state_folder)
        : state_folder_(std::move(state_folder)), worker_(serves) {}

    /// work   (store, stop) -> Result, on this thread
    /// then   (what is in it), on the thread of `who`, which owns this
    /// sorry  the same, where there is none; not where somebody stopped it
    template <class Work, class Then>
    void ask(QObject* who, Work work, Then then, Sorry sorry) {
        worker_.ask(
            who,
            [this,
             work = std::move(work)](const std::stop_token& stop) mutable -> decltype(work(*store_, stop)) {
                if (!store_) {
                    auto opened = tavlo::Store::open(state_folder_);
                    if (!opened) return tavlo::failure(opened.error());
                    store_ = std::move(*opened);
                }
                return work(*store_, stop);
            },
            [then = std::move(then), sorry = std::move(sorry)](auto answer) mutable {
                if (answer) return then(std::move(*answer));
                if (answer.error().fault != tavlo::Fault::cancelled) sorry(answer.error());
            });
    }

private:
    const std::string state_folder_;
    std::unique_ptr<tavlo::Store> store_;  ///< the worker's alone
    Worker worker_;
};
