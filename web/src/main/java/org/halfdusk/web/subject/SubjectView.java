package org.halfdusk.web.subject;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.SubjectNight;
import org.halfdusk.weather.Spell;
import org.halfdusk.web.layout.drawing.NightStrip;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.subject.page.Banner;
import org.halfdusk.web.subject.page.Contact;
import org.halfdusk.web.subject.words.ReasonWords;

/** A subject on the pages: its words, its pictures, its tables. One for each, in the subject's own folder. */
public interface SubjectView<N extends SubjectNight, P extends Plan> {
    Subject subject();

    Class<N> nightType();

    Class<P> planType();

    /** As a person calls it. */
    String name();

    /** One line for the choice of a subject. */
    String about();

    /** What the list of its nights shows, in a sentence; and the heads of the window's and the best's columns. */
    ListHeads heads();

    /** @param copper what the carpet paints so */
    record ListHeads(String question, String copper, String window, String best) {}

    NightWords words(N night);

    NightStep night(P plan, Instant at, Theme theme, String address);

    ExposeStep expose(P plan, Theme theme);

    /** Time, aperture and ISO in one line for the step. */
    default String exposeAnswer(P plan) {
        return ReasonWords.line(plan.setting());
    }

    SequenceStep sequence(P plan);

    String sequenceAnswer(P plan);

    /** How many frames and how often, for the caption; empty where nothing is timed. */
    String frames(P plan);

    /** One plain sentence for the end of the caption. */
    String verdict(P plan);

    /** How it is focused, for a card: on what, and then nothing touched any more. */
    default String focus(P plan) {
        return "on a magnified star, then hands off";
    }

    /** What of its frame is told first: the body that it follows, else where the camera looks. */
    default Framed framed(P plan) {
        return plan.night().followed().<Framed>map(Framed.OfBody::new).orElseGet(Framed.OfCentre::new);
    }

    /** Whether its frame is drawn with the stars' trails. */
    default boolean drawnAsTrails() {
        return false;
    }

    /** What is photographed, for a sentence: "the core". */
    String shown(P plan);

    /** What is different at another moment than the programme's, as a part of a sentence; empty where nothing is to be said. */
    default String moment(P programme, P now) {
        return MomentWords.sky(programme, now);
    }

    /** What the weather of the window means to this subject alone. */
    default List<String> weather(P plan, Spell spell) {
        return List.of();
    }

    /** A frame as the rig would record it; nothing where none can be foreseen. */
    default Optional<Recorded> recorded(P plan) {
        return Optional.empty();
    }

    /** How a link to practise it is called; empty where there is nothing to practise on. */
    default String practice() {
        return "";
    }

    default List<Contact> contacts(N night) {
        return List.of();
    }

    default Optional<Banner> banner(P plan) {
        return Optional.empty();
    }

    /** What is written over the strip. */
    List<NightStrip.Mark> marks(N night);

    /** The first step's name and how the date is said. */
    default String dayName() {
        return "Night";
    }

    default String dateWords(N night) {
        return "night of " + Times.longDate(night.date());
    }
}
