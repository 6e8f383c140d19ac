package org.halfdusk.web.town;

import java.util.ArrayList;
import java.util.List;
import org.halfdusk.exposure.Reciprocity;
import org.halfdusk.exposure.Setting;
import org.halfdusk.optics.Camera;
import org.halfdusk.sequence.Block;
import org.halfdusk.shoot.town.TownPlan;
import org.halfdusk.web.layout.words.Words;

/**
 * The roll in the camera, frame by frame, with the bracket that goes on it.
 *
 * @param cells one a frame: used, planned or free
 */
public record RollPicture(String heading, List<Cell> cells, List<Row> rows, String note) {
    public record Cell(int x, int y, String state) {}

    /** A frame of the bracket. */
    public record Row(String number, String what, String metered, String exposed) {}

    private static final int COLUMNS = 12;
    private static final int SIZE = 20;

    static RollPicture of(TownPlan plan) {
        int used = plan.wish().used();
        int planned = Block.frames(plan.blocks());
        int all = Camera.FRAMES_OF_A_ROLL;
        List<Cell> cells = new ArrayList<>();
        for (int i = 0; i < all; i++) {
            cells.add(new Cell(
                    i % COLUMNS * SIZE,
                    i / COLUMNS * SIZE,
                    i < used ? "used" : i < used + planned ? "planned" : "free"));
        }
        List<Row> rows = new ArrayList<>();
        int number = used;
        for (Setting s : plan.bracket()) {
            double exposed = s.shutter().realSeconds();
            rows.add(new Row(
                    Integer.toString(++number),
                    rows.isEmpty() ? "as above" : Words.stops(rows.size()) + " over",
                    Words.seconds(Reciprocity.counts(plan.rig(), exposed)),
                    s.shutter().label()
                            + (s.shutter().nominalSeconds()
                                            > plan.rig().camera().shutter().longestTimedSeconds()
                                    ? ", bulb"
                                    : "")));
        }
        int left = Math.max(0, plan.framesLeft() - planned);
        return new RollPicture(
                "Roll of " + all + ": " + used + " used, " + planned + " planned, " + left + " left",
                cells,
                rows,
                plan.framesLeft() == 0
                        ? "The roll is full: put a new one in and set the frames used to 0."
                        : planned > plan.framesLeft() ? "The roll ends before the bracket does." : "");
    }
}
