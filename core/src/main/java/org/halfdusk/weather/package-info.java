/**
 * A forecast's hours and what they mean for a tripod under the sky: {@link org.halfdusk.weather.WeatherHour} as it is
 * forecast, {@link org.halfdusk.weather.Forecast} of a place, {@link org.halfdusk.weather.Spell} of a window with its
 * cloud, dew, wind and haze. Where forecasts come from is not known here.
 */
@NullMarked
package org.halfdusk.weather;

import org.jspecify.annotations.NullMarked;
