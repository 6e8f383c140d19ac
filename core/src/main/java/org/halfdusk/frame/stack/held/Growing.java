package org.halfdusk.frame.stack.held;

/** A picture that frames are added to, by several threads at once; the order of frames never matters. */
public interface Growing {
    /** A frame of the same size. */
    void add(Picture frame);

    /** As it is by now. */
    Picture sofar();

    /** What has to be kept to go on from here, with {@link #ints}. */
    short[] shorts();

    int[] ints();
}
