package org.halfdusk.shoot.noctilucent;

import java.util.List;
import org.halfdusk.typed.Field;
import org.halfdusk.shoot.Wish;
import org.halfdusk.shoot.WishKind;
import org.halfdusk.typed.Range;

/** What is wished of noctilucent clouds. @param seconds between frames, 5 to 600 */
public record NoctilucentWish(double seconds) implements Wish {
    public static final Field<NoctilucentWish, Double> SECONDS = Field.number(
            "NOCTILUCENT_SECONDS",
            new Range("seconds between frames", 5, 600, "s"),
            NoctilucentWish::seconds,
            (w, v) -> new NoctilucentWish(v));

    public static final WishKind<NoctilucentWish> KIND =
            new WishKind<>(NoctilucentWish.class, new NoctilucentWish(30), List.of(SECONDS));
}
