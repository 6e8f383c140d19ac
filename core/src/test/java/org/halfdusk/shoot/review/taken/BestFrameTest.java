package org.halfdusk.shoot.review.taken;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.review.taken.TakenFrame.Choice;
import org.halfdusk.shoot.review.taken.TakenFrame.Judgement;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Which frame of several stands for them. */
class BestFrameTest {
    /** @param judged of each frame its choice's first letter and its stars */
    @ParameterizedTest
    @CsvSource({
        "'', 0",
        "R0 R5, 0",
        "O0, 1",
        "O0 O0 O0, 2",
        "O0 O0 O0 O0, 3",
        "O0 R0 O0 O0, 3",
        "O0 O0 K0 O0, 3",
        "K0 O3 K2, 2",
        "R5 K1 O0, 2"
    })
    void standsForSeveral(String judged, long best) {
        List<Kept<Judgement>> frames = new ArrayList<>();
        for (String j : judged.isEmpty() ? new String[0] : judged.split(" ")) {
            Choice choice = j.charAt(0) == 'K' ? Choice.KEEP : j.charAt(0) == 'R' ? Choice.REJECT : Choice.OPEN;
            frames.add(new Kept<>(frames.size() + 1L, new Judgement(choice, j.charAt(1) - '0', "")));
        }
        assertEquals(
                best == 0 ? Optional.empty() : Optional.of(best),
                TakenFrame.best(frames, j -> j).map(Kept::id));
    }
}
