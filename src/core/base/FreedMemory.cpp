#include "core/base/FreedMemory.h"

#include <malloc.h>

namespace anodex::base {

void keepFreedMemory() {
    constexpr int kMebibyte = 1 << 20;
    // Larger pieces, as of a long run, are still given back at once; an evaluation with its ranges needs less.
    mallopt(M_MMAP_THRESHOLD, 32 * kMebibyte);
    mallopt(M_TRIM_THRESHOLD, 64 * kMebibyte);
    mallopt(M_TOP_PAD, kMebibyte);
}

} // namespace anodex::base
