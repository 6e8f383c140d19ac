package org.halfdusk.web.shoot;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.Optional;
import org.halfdusk.optics.Rig;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.programme.SettingCurve;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.springframework.stereotype.Component;

/** Settings over whole nights: a hundred plans each, so those that were drawn last are kept. */
@Component
class Curves {
    private static final int MOST = 100;
    private static final Duration STEP = Duration.ofMinutes(15);
    private static final Duration SWIFT_STEP = Duration.ofMinutes(2);

    private final Cache<Key, SettingCurve> kept =
            Caffeine.newBuilder().maximumSize(MOST).build();

    /** All that a curve follows from. */
    private record Key(Shoot shoot, Place place, Rig rig, Wishes wishes) {}

    /** Nothing where the light does not change the setting. */
    Optional<CurveLine> of(ShootDesk.Open open) {
        Plan plan = open.plan();
        Key key = new Key(open.shoot().it(), plan.place(), plan.rig(), plan.wishes());
        SettingCurve curve =
                kept.get(key, k -> SettingCurve.of(plan, plan.night().swift() ? SWIFT_STEP : STEP));
        return curve.changes() ? Optional.of(CurveLine.of(plan, open.now(), curve)) : Optional.empty();
    }
}
