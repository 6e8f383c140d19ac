package org.halfdusk.shoot.setting;

/** What decided the shutter time. */
public sealed interface ShutterReason {
    /** The trail budget: its exact limit in seconds, rounded down to a mark. */
    record RoundedDown(double limitSeconds) implements ShutterReason {}

    /** The sky would allow more, the camera has no longer time. */
    record LongestOfCamera(double limitSeconds) implements ShutterReason {}

    /** Even the camera's shortest time trails more than the budget. */
    record ShortestOfCamera(double limitSeconds) implements ShutterReason {}

    /** The sky is so bright that even the lowest ISO needs no longer; what the stars would have allowed. */
    record BrightSky(double limitSeconds) implements ShutterReason {}

    /** A person stands in the frame; what the stars would have allowed. */
    record PersonStands(double limitSeconds) implements ShutterReason {}

    /** The mount takes the stars' limit away; people do not expose longer in one go. */
    record Tracked(double limitSeconds) implements ShutterReason {}

    /** Aperture and ISO are fixed and need less than the stars allow; what the stars would have allowed. */
    record FromLight(double limitSeconds) implements ShutterReason {}

    /** Fixed by the person; what the budget would have allowed. */
    record Pinned(double limitSeconds) implements ShutterReason {}
}
