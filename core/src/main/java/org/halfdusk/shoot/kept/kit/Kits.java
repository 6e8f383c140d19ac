package org.halfdusk.shoot.kept.kit;

import java.util.List;
import java.util.Optional;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.kit.Converter;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Unread;
import org.halfdusk.shoot.kept.Unreadable;

/** Where kit is kept. Finding also finds the deleted, since shoots may still use it. */
public interface Kits {
    /** The three kinds of kit. */
    enum Kind {
        CAMERA,
        LENS,
        CONVERTER
    }

    List<Kept<Camera>> cameras();

    List<Kept<Lens>> lenses();

    List<Kept<Converter>> converters();

    /** Those of a kind that are kept and cannot be read. */
    List<Unread> unread(Kind kind);

    /** @throws Unreadable where it is kept and cannot be read; so of the others */
    Optional<Kept<Camera>> camera(long id);

    Optional<Kept<Lens>> lens(long id);

    Optional<Kept<Converter>> converter(long id);

    long add(Camera camera);

    long add(Lens lens);

    long add(Converter converter);

    boolean update(long id, Camera camera);

    boolean update(long id, Lens lens);

    boolean update(long id, Converter converter);

    /** Titles of shoots that use it. */
    List<String> usedBy(Kind kind, long id);

    boolean delete(Kind kind, long id);

    boolean restore(Kind kind, long id);
}
