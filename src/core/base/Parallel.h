// src/core/base/Parallel.h - the same work for each index, on several threads.
//
// Threads    which thread takes which index is open, so `work` must write only to what belongs to its index.
#pragma once
#include <atomic>
#include <cstddef>
#include <stop_token>
#include <thread>
#include <vector>

namespace anodex::base {

/// Calls work(i) for 0 <= i < count, the caller's thread included; leaves off when a stop is asked for.
template <typename Work>
void forEachIndex(std::size_t count, int threads, const std::stop_token& stop, const Work& work) {
    std::atomic<std::size_t> next{0};
    const auto take = [&] {
        for (std::size_t i = next++; i < count && !stop.stop_requested(); i = next++) {
            work(i);
        }
    };
    std::vector<std::jthread> helpers;
    for (int i = 1; i < threads; ++i) {
        helpers.emplace_back(take);
    }
    take();
}

} // namespace anodex::base
