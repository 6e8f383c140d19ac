package org.halfdusk.web.pack;

import java.util.List;
import java.util.Set;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.kit.Accessory;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.kept.done.PackLists;
import org.halfdusk.shoot.kept.kit.Rigs;
import org.halfdusk.shoot.packing.Packing;
import org.halfdusk.shoot.planning.Planner;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.shoot.StepPages;
import org.halfdusk.web.shoot.edit.ShootEditing;
import org.springframework.stereotype.Component;

/** The Pack step of a shoot. */
@Component
class PackPages implements StepPages {
    private final PackLists lists;
    private final Planner planner;
    private final Rigs rigs;
    private final Shoots shoots;

    PackPages(PackLists lists, Planner planner, Rigs rigs, Shoots shoots) {
        this.shoots = shoots;
        this.lists = lists;
        this.planner = planner;
        this.rigs = rigs;
    }

    @Override
    public String step() {
        return "pack";
    }

    @Override
    public Object page(ShootDesk.Open open, ShootEditing.Result result, Theme theme) {
        return page(open, theme);
    }

    PackPage page(ShootDesk.Open open, Theme theme) {
        Plan plan = open.plan();
        List<Accessory> owned = rigs.accessories().stream().map(Kept::it).toList();
        long id = open.shoot().id();
        return PackPage.of(
                plan,
                packing(open),
                owned,
                others(open),
                lists.ticked(id),
                lists.own(id),
                open.subject()
                        .night(plan, open.at(), theme, open.address("night"))
                        .cautions());
    }

    /** What else stands there: the shoot's rigs beside the one it is seen through. */
    private List<Rig> others(ShootDesk.Open open) {
        return shoots.rigs(open.shoot().id()).stream()
                .filter(r -> r.id() != open.rig())
                .map(r -> planner.rig(r.it()))
                .toList();
    }

    private Packing packing(ShootDesk.Open open) {
        return Packing.of(
                open.shoot().it().subject(), open.plan(), open.blocks(), open.simulated(), open.air(), open.weather());
    }

    @Override
    public String answer(ShootDesk.Open open) {
        long id = open.shoot().id();
        List<Packing.Item> items = packing(open).items();
        List<Kept<String>> own = lists.own(id);
        Set<String> ticked = lists.ticked(id);
        long packed = items.stream().filter(i -> ticked.contains(i.name())).count()
                + own.stream()
                        .filter(k -> ticked.contains(PackPage.ownKey(k.id())))
                        .count();
        List<Rig> others = others(open);
        for (int i = 0; i < others.size(); i++) {
            packed += ticked.contains(PackPage.rigKey(i)) ? 1 : 0;
        }
        int all = items.size() + own.size() + others.size();
        return packed == 0 ? all + " things to take" : packed + " of " + all + " packed";
    }
}
