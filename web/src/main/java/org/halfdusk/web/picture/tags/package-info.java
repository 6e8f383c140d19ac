/** What is written into picture files beside the picture: directories as TIFF lays them down, Exif in a JPEG. */
@NullMarked
package org.halfdusk.web.picture.tags;

import org.jspecify.annotations.NullMarked;
