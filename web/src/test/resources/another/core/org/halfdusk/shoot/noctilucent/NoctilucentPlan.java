package org.halfdusk.shoot.noctilucent;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.halfdusk.angle.Altitude;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.optics.framing.Framing;
import org.halfdusk.optics.Rig;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.place.Place;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.FrameRun;
import org.halfdusk.shoot.setting.ExposurePlan;
import org.halfdusk.shoot.setting.Exposed;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.Traits;
import org.halfdusk.shoot.setting.wished.Wishes;

/** Four seconds at ISO 400 wide open, low in the north. */
public record NoctilucentPlan(
        Place place, NoctilucentNight night, Rig rig, Framing framing, Instant moment, Wishes wishes, double seconds)
        implements Plan {
    static NoctilucentPlan of(
            Place place, NoctilucentNight night, Rig rig, Optional<Framing> framing, Wishes wishes, double seconds) {
        Framing north = new Framing(Azimuth.ofDegrees(0), Altitude.ofDegrees(10), 0);
        return new NoctilucentPlan(place, night, rig, framing.orElse(north), night.bestMoment(), wishes, seconds);
    }

    @Override
    public Traits traits() {
        return NoctilucentPlanner.TRAITS;
    }

    @Override
    public NoctilucentPlan at(Instant other) {
        return new NoctilucentPlan(place, night, rig, framing, night.whole().nearest(other), wishes, seconds);
    }

    @Override
    public Exposed exposed() {
        SkyBrightness sky = night.light().at(moment).framed(framing.direction()).total();
        return Exposed.of(sky, sky, setting(), rig, night.windows().stream().anyMatch(w -> w.contains(moment)));
    }

    @Override
    public double stopsOff() {
        return 0;
    }

    @Override
    public Setting setting() {
        ShutterTime time = ShutterTime.nearest(4, ExposurePlan.times(rig));
        return new Setting(time, rig.widestAperture(), Iso.of(400).nearest(rig.camera().isos()), 5200);
    }

    @Override
    public List<Block> blocks() {
        return night.main()
                .map(w -> {
                    FrameRun run = FrameRun.filling(w.hours() * 3600, setting().shutter(), seconds, rig.camera().shutter().timer());
                    return List.of(Block.of(Block.Kind.TIME_LAPSE, Block.onTheSecond(w.start()), run, setting()));
                })
                .orElseGet(List::of);
    }
}
