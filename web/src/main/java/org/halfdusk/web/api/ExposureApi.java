package org.halfdusk.web.api;

import java.util.List;
import java.util.Map;
import org.halfdusk.exposure.SharpTime;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.exposure.SkyExposure;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.trailing.School;
import org.halfdusk.trailing.StarTrails;
import org.halfdusk.trailing.Trailing;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** How long stays sharp, and how bright a sky comes out. */
@RestController
@RequestMapping("/api/v1")
class ExposureApi {
    /** Diagonal of 36 × 24 mm. */
    private static final double FULL_FRAME_DIAGONAL_MM = Math.hypot(36, 24);

    record SchoolAnswer(
            School name,
            double seconds,
            double dial,
            double realSeconds,
            double trailCentrePx,
            double trailCornerPx,
            double elongation) {}

    record ExposureAnswer(double stopsUnderClipping, double histogramPosition) {}

    @GetMapping("/sharpness")
    Map<String, List<SchoolAnswer>> sharpness(@RequestParam MultiValueMap<String, String> parameters) {
        Query query = new Query(parameters);
        double focal = query.number("focalLength", 1, 5000);
        double aperture = query.number("aperture", 0.5, 128);
        double pitch = query.number("pixelPitch", 0.3, 100);
        double crop = query.number("crop", 0.1, 20);
        double declination = query.number("declination", -90, 90);
        double width = query.number("width", 100, 60_000, 0);
        double height = query.number("height", 100, 60_000, 0);
        double budget = query.number("budgetPx", 0.3, 50, Trailing.DEFAULT_BUDGET_PX);
        query.refuseIf(query.has("width") != query.has("height"), "width", "given together with height, or neither");
        query.check();
        double diagonal =
                width > 0 && height > 0 ? Math.hypot(width, height) * pitch / 1000 : FULL_FRAME_DIAGONAL_MM / crop;
        Trailing trailing = new Trailing(focal, pitch, declination);
        School.Setup setup = new School.Setup(
                new StarTrails.AllRolls(trailing, diagonal), focal, pitch, FNumber.of(aperture), crop, budget);
        List<SchoolAnswer> schools = SharpTime.all(setup, ShutterTime.dial()).stream()
                .map(ExposureApi::answer)
                .toList();
        return Map.of("schools", schools);
    }

    private static SchoolAnswer answer(SharpTime s) {
        return new SchoolAnswer(
                s.school(),
                s.seconds(),
                s.dial().nominalSeconds(),
                s.dial().realSeconds(),
                s.middlePx(),
                s.cornerPx(),
                s.elongation());
    }

    @GetMapping("/exposure/sky")
    ExposureAnswer sky(@RequestParam MultiValueMap<String, String> parameters) {
        Query query = new Query(parameters);
        double brightness = query.number("skyBrightness", -5, 25);
        double aperture = query.number("aperture", 0.5, 128);
        double seconds = query.number("seconds", 1e-5, 86_400);
        double iso = query.number("iso", 1, 10_000_000);
        query.check();
        SkyExposure e = new SkyExposure(SkyBrightness.of(brightness), FNumber.of(aperture), seconds, Iso.of(iso));
        return new ExposureAnswer(e.stopsUnderClipping(), e.histogramPosition());
    }
}
