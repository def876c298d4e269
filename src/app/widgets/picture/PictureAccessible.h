// src/app/widgets/picture/PictureAccessible.h - lets a screen reader walk the items of a picture.
#pragma once

namespace anodex::app {

/// Installs the interfaces once for the program.
void installPictureAccessibility();

} // namespace anodex::app
