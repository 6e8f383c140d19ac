package org.halfdusk.web.subject;

import java.time.Instant;
import org.halfdusk.light.SkyLight;
import org.halfdusk.shoot.Plan;
import org.halfdusk.web.layout.words.Words;

/** What has changed between the programme's moment and another, in words that go into a sentence. */
public final class MomentWords {
    private MomentWords() {}

    /** How the sky towards the frame differs, and by what: "the moon adds 0.6 mag". */
    public static String sky(Plan programme, Plan now) {
        SkyLight.Brightness then = towards(programme, programme.moment());
        SkyLight.Brightness here = towards(now, now.moment());
        double brighter = then.total().over(here.total());
        if (!Words.told(brighter)) {
            return "the sky is as bright";
        }
        String much = Words.tenths(Math.abs(brighter)) + " mag";
        return brighter > 0 ? most(then, here) + " adds " + much : "the sky is " + much + " darker";
    }

    private static SkyLight.Brightness towards(Plan plan, Instant at) {
        return plan.night().light().at(at).framed(plan.framing().direction());
    }

    /** The part of the light that grew most. */
    private static String most(SkyLight.Brightness then, SkyLight.Brightness here) {
        double twilight = here.twilight() - then.twilight();
        double moon = here.moon() - then.moon();
        double band = here.band() - then.band();
        double rest = here.towns() + here.natural() - then.towns() - then.natural();
        double largest = Math.max(Math.max(twilight, moon), Math.max(band, rest));
        if (largest == twilight) {
            return "twilight";
        }
        if (largest == moon) {
            return "the moon";
        }
        return largest == band ? "the Milky Way" : "towns and airglow";
    }
}
