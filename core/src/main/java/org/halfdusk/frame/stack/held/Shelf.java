package org.halfdusk.frame.stack.held;

/** Where the lines of all frames lie, outside, while the values of each pixel are compared: as large as all of them, six bytes a pixel. */
public interface Shelf {
    void get(int frame, int y, short[] rgb);
}
