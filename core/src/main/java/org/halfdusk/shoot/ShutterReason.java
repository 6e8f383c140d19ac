package org.halfdusk.shoot;

/** What decided the shutter time. */
public sealed interface ShutterReason {
    /** The trail budget: its exact limit in seconds, rounded down to a mark. */
    record RoundedDown(double limitSeconds) implements ShutterReason {}

    /** The sky would allow more, the camera has no longer time. */
    record LongestOfCamera(double limitSeconds) implements ShutterReason {}

    /** Even the camera's shortest time trails more than the budget. */
    record ShortestOfCamera(double limitSeconds) implements ShutterReason {}

    /** Fixed by the person; what the budget would have allowed. */
    record Pinned(double limitSeconds) implements ShutterReason {}
}
