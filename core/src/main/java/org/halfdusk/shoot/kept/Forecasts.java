package org.halfdusk.shoot.kept;

import java.util.Optional;
import org.halfdusk.place.Observer;
import org.halfdusk.weather.Forecast;

/** Where forecasts come from and are kept. A forecast serves whoever stands within {@link #REACH_KM} of where it is for. */
public interface Forecasts {
    /** Weather a dozen kilometres apart is as unlike as two forecasts of one place. */
    double REACH_KM = 12;

    /** What is forecast around a point; of several the nearest. */
    Optional<Forecast> near(Observer where);

    /** Keeps a forecast in place of any that served the point before. */
    void keep(Observer where, Forecast forecast);

    /** Forgets what was kept around a point; whether there was anything. */
    boolean forget(Observer where);
}
