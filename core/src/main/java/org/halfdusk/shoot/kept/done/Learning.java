package org.halfdusk.shoot.kept.done;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.halfdusk.place.Observer;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.shoot.review.learnt.Knowledge;
import org.halfdusk.shoot.review.learnt.Learnt;

/** Where it is kept what a person took over from measured frames. */
public interface Learning {
    /** Everything, by what it is of; what is switched off among it. */
    List<Learnt> all();

    /** What plans go by. @param places where those stand that figures are of */
    default Knowledge knowledge(Places places) {
        List<Learnt> on = all().stream().filter(Learnt::on).toList();
        Map<Observer, Long> where = new HashMap<>();
        on.stream()
                .filter(l -> l.figure().of() == Learnt.Of.PLACE)
                .map(Learnt::id)
                .distinct()
                .forEach(id -> places.find(id).ifPresent(p -> where.put(p.it().observer(), id)));
        return on.isEmpty() ? Knowledge.NONE : new Knowledge(on, where);
    }

    /** Takes figures over; one of the same shoot and sort takes the place of the one before. */
    void take(List<Learnt> learnt);

    /** Switches a figure on or off, of every shoot that showed it. @return whether there was one */
    boolean turn(Learnt.Figure figure, long id, boolean on);

    /** Forgets a figure, of every shoot that showed it. @return whether there was one */
    boolean forget(Learnt.Figure figure, long id);
}
