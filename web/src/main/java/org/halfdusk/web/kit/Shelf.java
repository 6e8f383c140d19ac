package org.halfdusk.web.kit;

import java.util.List;
import java.util.Optional;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.kit.Accessory;
import org.halfdusk.optics.kit.BatteryPack;
import org.halfdusk.optics.kit.Card;
import org.halfdusk.optics.kit.Converter;
import org.halfdusk.optics.kit.Filter;
import org.halfdusk.optics.kit.Support;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Unread;
import org.halfdusk.shoot.kept.kit.Kits;
import org.halfdusk.shoot.kept.kit.Rigs;
import org.halfdusk.shoot.kept.kit.StandingRig;
import org.springframework.stereotype.Component;

/** All kit behind one door: each kind is listed, found, kept and put away alike. */
@Component
class Shelf {
    private final Kits kits;
    private final Rigs rigs;

    Shelf(Kits kits, Rigs rigs) {
        this.kits = kits;
        this.rigs = rigs;
    }

    List<? extends Kept<?>> list(KitKind kind) {
        return switch (kind) {
            case RIGS -> rigs.rigs();
            case CAMERAS -> kits.cameras();
            case LENSES -> kits.lenses();
            case CONVERTERS -> kits.converters();
            case FILTERS -> accessories(Filter.class);
            case SUPPORTS -> accessories(Support.class);
            case CARDS -> accessories(Card.class);
            case BATTERIES -> accessories(BatteryPack.class);
        };
    }

    /** Those of a kind that are kept and cannot be read; accessories stand with the filters, since their kind may be what is wrong. */
    List<Unread> unread(KitKind kind) {
        return switch (kind) {
            case RIGS -> rigs.unreadRigs();
            case CAMERAS -> kits.unread(Kits.Kind.CAMERA);
            case LENSES -> kits.unread(Kits.Kind.LENS);
            case CONVERTERS -> kits.unread(Kits.Kind.CONVERTER);
            case FILTERS -> rigs.unreadAccessories();
            case SUPPORTS, CARDS, BATTERIES -> List.of();
        };
    }

    <A extends Accessory> List<Kept<A>> accessories(Class<A> type) {
        return rigs.accessories().stream()
                .filter(k -> type.isInstance(k.it()))
                .map(k -> new Kept<>(k.id(), type.cast(k.it())))
                .toList();
    }

    /** Also the deleted. */
    Optional<?> find(KitKind kind, long id) {
        return switch (kind) {
            case RIGS -> rigs.rig(id).map(Kept::it);
            case CAMERAS -> kits.camera(id).map(Kept::it);
            case LENSES -> kits.lens(id).map(Kept::it);
            case CONVERTERS -> kits.converter(id).map(Kept::it);
            case FILTERS -> accessory(Filter.class, id);
            case SUPPORTS -> accessory(Support.class, id);
            case CARDS -> accessory(Card.class, id);
            case BATTERIES -> accessory(BatteryPack.class, id);
        };
    }

    private <A extends Accessory> Optional<A> accessory(Class<A> type, long id) {
        return rigs.accessory(id).map(Kept::it).filter(type::isInstance).map(type::cast);
    }

    /** Keeps a new piece, or what a known one has become. */
    void keep(long id, Object it) {
        if (it instanceof StandingRig rig) {
            boolean done = id == 0 ? rigs.add(rig) > 0 : rigs.update(id, rig);
            check(done, id);
        } else if (it instanceof Camera camera) {
            check(id == 0 ? kits.add(camera) > 0 : kits.update(id, camera), id);
        } else if (it instanceof Lens lens) {
            check(id == 0 ? kits.add(lens) > 0 : kits.update(id, lens), id);
        } else if (it instanceof Converter converter) {
            check(id == 0 ? kits.add(converter) > 0 : kits.update(id, converter), id);
        } else {
            Accessory accessory = (Accessory) it;
            check(id == 0 ? rigs.add(accessory) > 0 : rigs.update(id, accessory), id);
        }
    }

    private static void check(boolean done, long id) {
        if (!done) {
            throw new IllegalStateException("kit number " + id + " was not kept");
        }
    }

    List<String> usedBy(KitKind kind, long id) {
        return switch (kind) {
            case RIGS -> List.of();
            case CAMERAS -> kits.usedBy(Kits.Kind.CAMERA, id);
            case LENSES -> kits.usedBy(Kits.Kind.LENS, id);
            case CONVERTERS -> kits.usedBy(Kits.Kind.CONVERTER, id);
            default -> rigs.usedBy(id).stream().map(n -> "the rig " + n).toList();
        };
    }

    boolean delete(KitKind kind, long id) {
        return switch (kind) {
            case RIGS -> rigs.deleteRig(id);
            case CAMERAS -> kits.delete(Kits.Kind.CAMERA, id);
            case LENSES -> kits.delete(Kits.Kind.LENS, id);
            case CONVERTERS -> kits.delete(Kits.Kind.CONVERTER, id);
            default -> rigs.deleteAccessory(id);
        };
    }

    boolean restore(KitKind kind, long id) {
        return switch (kind) {
            case RIGS -> rigs.restoreRig(id);
            case CAMERAS -> kits.restore(Kits.Kind.CAMERA, id);
            case LENSES -> kits.restore(Kits.Kind.LENS, id);
            case CONVERTERS -> kits.restore(Kits.Kind.CONVERTER, id);
            default -> rigs.restoreAccessory(id);
        };
    }
}
