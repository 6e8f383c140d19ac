package org.halfdusk.shoot.kept;

import java.util.Map;

/** Where settings are kept, by name. */
public interface KeptSettings {
    Map<String, String> all();

    /** All at once; names that are not among them are forgotten. */
    void replace(Map<String, String> values);
}
