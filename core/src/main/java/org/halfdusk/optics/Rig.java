package org.halfdusk.optics;

import java.util.List;
import java.util.Optional;
import org.halfdusk.optics.kit.Card;
import org.halfdusk.optics.kit.Converter;
import org.halfdusk.optics.kit.Figures;
import org.halfdusk.photometry.FNumber;

/**
 * Camera, lens at a focal length and perhaps a converter.
 *
 * @param lensFocalMm the focal length set on the lens, inside its range
 * @param card that it writes to; nothing where none is known
 * @param measured what frames have shown of it
 */
public record Rig(
        Camera camera,
        Lens lens,
        Optional<Converter> converter,
        double lensFocalMm,
        Optional<Card> card,
        Measured measured) {
    /** Arcseconds that a micrometre in the picture stands for behind a millimetre of focal length: 206,264.806 a radian. */
    public static final double ARCSEC_PER_MICROMETRE_PER_MM = 206.264806;

    /** @throws IllegalArgumentException for a focal length that the lens does not have */
    public Rig {
        Figures.within("focal length", lensFocalMm, lens.shortestMm(), lens.longestMm(), "mm");
    }

    /** With no card known. */
    public Rig(Camera camera, Lens lens, Optional<Converter> converter, double lensFocalMm) {
        this(camera, lens, converter, lensFocalMm, Optional.empty(), Measured.NOTHING);
    }

    /** The same with a card in it. */
    public Rig with(Optional<Card> other) {
        return new Rig(camera, lens, converter, lensFocalMm, other, measured);
    }

    /** The same with what frames have shown of it. */
    public Rig with(Measured other) {
        return new Rig(camera, lens, converter, lensFocalMm, card, other);
    }

    /** How fast its buffer is emptied: by the slower of camera and card, MB a second. */
    public double writeMegabytesPerSecond() {
        double camera = this.camera.files().writeMegabytesPerSecond();
        return card.map(c -> Math.min(camera, c.writeMegabytesPerSecond())).orElse(camera);
    }

    /** Room on its cards, MB; without end where they are not known. */
    public double cardMegabytes() {
        return card.map(Card::totalMegabytes).orElse(Double.POSITIVE_INFINITY);
    }

    /** A frame's files, MB. @param jpeg whether a JPEG is written beside the raw file */
    public double fileMegabytes(boolean jpeg) {
        return camera.files().rawMegabytes() + (jpeg ? camera.files().jpegMegabytes() : 0);
    }

    /** The nearest focal length that the lens can be set to. */
    public static Rig of(Camera camera, Lens lens, Optional<Converter> converter, double wishedFocalMm) {
        double focal = Math.max(lens.shortestMm(), Math.min(lens.longestMm(), wishedFocalMm));
        return new Rig(camera, lens, converter, focal);
    }

    private double factor() {
        return converter.map(Converter::factor).orElse(1.0);
    }

    /** Focal length that reaches the sensor, mm. */
    public double focalMm() {
        return lensFocalMm * factor();
    }

    /** Widest f-number that reaches the sensor. */
    public FNumber widestAperture() {
        return FNumber.of(lens.widestAt(lensFocalMm) * factor());
    }

    /** Largest f-number that reaches the sensor. */
    public FNumber smallestAperture() {
        return FNumber.of(lens.smallestAperture() * factor());
    }

    /** The f-number at which the lens is sharpest, on the sensor: with a converter its factor counts. */
    public FNumber sharpestAperture() {
        return FNumber.of(lens.sharpestAperture() * factor()).atLeast(widestAperture());
    }

    /** Marks of the aperture ring that this rig has, on the sensor, widest first. */
    public List<FNumber> apertures() {
        return FNumber.available(widestAperture(), smallestAperture());
    }

    /** Arcseconds on one pixel in the middle of the frame. */
    public double pixelScaleArcsec() {
        return ARCSEC_PER_MICROMETRE_PER_MM * camera.sensor().pixelPitchMicrometres() / focalMm();
    }

    /** Field of view along the sensor's long side, degrees; a fisheye's circle ends at 180. */
    public double longFieldDegrees() {
        return field(camera.sensor().widthMm());
    }

    /** Field of view along the sensor's short side, degrees. */
    public double shortFieldDegrees() {
        return field(camera.sensor().heightMm());
    }

    private double field(double sideMm) {
        return Math.toDegrees(2 * Math.min(Math.PI / 2, lens.imaging().angleRad(sideMm / 2 / focalMm())));
    }

    /** Angle from the axis to a corner, degrees. */
    public double cornerDegrees() {
        return field(camera.sensor().diagonalMm()) / 2;
    }

    /** Hyperfocal distance at an f-number, m: f²/(N·c) + f. */
    public double hyperfocalMetres(FNumber fNumber) {
        return new DepthOfField(focalMm(), fNumber, camera.sensor().circleOfConfusionMm()).hyperfocalMetres();
    }
}
