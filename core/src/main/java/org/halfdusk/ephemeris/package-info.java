/**
 * Where the bodies are, seen from the centre of the Earth.
 *
 * <p>A position is only a position in a frame, and each frame is a type: {@link org.halfdusk.ephemeris.coordinates.EclipticJ2000},
 * {@link org.halfdusk.ephemeris.coordinates.EquatorialJ2000}, {@link org.halfdusk.ephemeris.coordinates.EquatorialOfDate},
 * {@link org.halfdusk.ephemeris.coordinates.EclipticOfDate}. The theories give places on the ecliptic of J2000; precession and
 * nutation carry them to the true equator and equinox of date, the frame in which the Earth turns about z and in which
 * all apparent places of this package stand. <em>Apparent</em> means as light shows it: the body where it was when the
 * light left, shifted by the Earth's own motion (aberration) and, close to the Sun, by its gravity (deflection).
 *
 * <p>{@link org.halfdusk.ephemeris.Ephemeris} is what others ask. {@link org.halfdusk.ephemeris.SeriesEphemeris} sums
 * the full theories, about 0.1 ms a place. {@link org.halfdusk.ephemeris.ChebyshevEphemeris} fits polynomials a few
 * days long to any other ephemeris and answers in some tens of nanoseconds.
 */
@NullMarked
package org.halfdusk.ephemeris;

import org.jspecify.annotations.NullMarked;
