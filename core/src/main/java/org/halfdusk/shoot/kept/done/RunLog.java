package org.halfdusk.shoot.kept.done;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.halfdusk.shoot.camera.ClockOffset;
import org.halfdusk.shoot.running.RunEntry;

/** Where it is kept what happened in a shoot's night, and how far each camera's clock is off. */
public interface RunLog {
    /** Shoots in whose nights anything was noted. */
    Set<Long> noted();

    /** In order of their devices' time. */
    List<RunEntry> entries(long shootId);

    /**
     * Adds those that are not there yet; one that is there stays as it is, so that sending again changes nothing.
     *
     * @return how many were added
     * @throws IllegalArgumentException where there would be more than {@link RunEntry#MOST}
     */
    int merge(long shootId, List<RunEntry> entries);

    /** By the camera's number. */
    Map<Long, ClockOffset> clocks();

    void clock(long cameraId, ClockOffset offset);
}
