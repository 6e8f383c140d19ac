package org.halfdusk.shoot.kept.done;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.review.Afterwards;
import org.halfdusk.shoot.review.Softness;
import org.halfdusk.shoot.review.taken.TakenFrame;
import org.halfdusk.shoot.review.taken.TakenFrame.Judgement;

/** Where the figures of frames that were brought in are kept. */
public interface Frames {
    /** Of a rig of a shoot, as they were brought in. */
    List<Kept<TakenFrame>> of(long shootId, int rig);

    /** What a person thinks of each of them, without what was read of it: a night has thousands. */
    List<Kept<Judgement>> judged(long shootId, int rig);

    /** Of all rigs of a shoot. */
    List<Kept<TakenFrame>> of(long shootId);

    /** Of all shoots that are not deleted, in brief. */
    List<Kept<TakenFrame.Brief>> brief();

    /** Those that were read without a shoot, the last first. */
    List<Kept<TakenFrame>> alone();

    /** Of all shoots that are not deleted. */
    List<Kept<TakenFrame>> all();

    Optional<Kept<TakenFrame>> find(long id);

    /** The frame of a file of a rig, where it is there already; of those without a shoot where there is none. */
    Optional<Long> known(Optional<Long> shootId, int rig, String hash);

    /** Hashes of the files of all frames that a person rejected. */
    Set<String> rejected();

    /** How many a shoot has, of all its rigs. */
    int count(long shootId);

    /** How many each shoot has. */
    Map<Long, Integer> counts();

    /**
     * Keeps a frame; one of the same file, shoot and rig that is there already stays as it is.
     *
     * @return its number
     * @throws IllegalArgumentException where a shoot would have more than {@link #MOST}
     */
    long add(TakenFrame frame);

    /** @return whether it was there */
    boolean judge(long id, Judgement judgement);

    /** Takes frames out of the log, not from the disk. @return how many there were */
    int remove(List<Long> ids);

    /** Frames of a shoot's rig. */
    int MOST = 5000;

    /** What a person answered where a picture cannot tell, of a rig of a shoot. */
    Map<Softness.Cause, Boolean> answers(long shootId, int rig);

    /** @param so nothing takes an answer back */
    void answer(long shootId, int rig, Softness.Cause cause, Optional<Boolean> so);

    /** What was noted of a shoot when it was over. */
    Afterwards afterwards(long shootId);

    void afterwards(long shootId, Afterwards noted);

    /** The same of all shoots of which anything was noted. */
    Map<Long, Afterwards> afterwards();
}
