#include "core/base/FreedMemory.h"

#include <malloc.h>

namespace anodex::base {

void keepFreedMemory() {
    constexpr int kMebibyte = 1 << 20;
    mallopt(M_MMAP_THRESHOLD,
            32 * kMebibyte); // larger pieces, as of a long run, are still given back at once
    mallopt(M_TRIM_THRESHOLD, 64 * kMebibyte); // an evaluation with its ranges uses less
    mallopt(M_TOP_PAD, kMebibyte);
}

} // namespace anodex::base
