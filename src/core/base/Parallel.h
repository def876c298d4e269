// src/core/base/Parallel.h - the same work for each index, on several threads.
//
// Threads    which thread takes which index is open, so `work` must write only to what belongs to its index.
#pragma once
#include <atomic>
#include <cstddef>
#include <exception>
#include <mutex>
#include <stop_token>
#include <thread>
#include <vector>

namespace anodex::base {

/// Calls work(i) for 0 <= i < count, the caller's thread included; leaves off when a stop is asked for. What
/// `work` throws first ends it all and is thrown to the caller.
template <typename Work>
void forEachIndex(std::size_t count, int threads, const std::stop_token& stop, const Work& work) {
    std::atomic<std::size_t> next{0};
    std::exception_ptr thrown;
    std::mutex guard;
    const auto take = [&] {
        try {
            for (std::size_t i = next++; i < count && !stop.stop_requested(); i = next++) {
                work(i);
            }
        } catch (...) {
            next = count;
            const std::lock_guard lock(guard);
            thrown = thrown ? thrown : std::current_exception();
        }
    };
    {
        std::vector<std::jthread> helpers;
        for (int i = 1; i < threads; ++i) {
            helpers.emplace_back(take);
        }
        take();
    }
    if (thrown) {
        std::rethrow_exception(thrown);
    }
}

} // namespace anodex::base
