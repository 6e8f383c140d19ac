package org.halfdusk.web.weather;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.Optional;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.kept.Forecasts;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.time.Interval;
import org.halfdusk.weather.Forecast;
import org.halfdusk.web.door.Upload;
import org.halfdusk.web.door.refusal.NotFound;
import org.halfdusk.web.exchange.ForecastFile;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.words.WeatherWords;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** A place's forecast: looked at, brought in as a file or as text, forgotten. */
@Controller
class ForecastController {
    private static final int MOST_BYTES = 1_000_000;

    private final Places places;
    private final Forecasts forecasts;
    private final Clock clock;

    ForecastController(Places places, Forecasts forecasts, Clock clock) {
        this.places = places;
        this.forecasts = forecasts;
        this.clock = clock;
    }

    @GetMapping("/places/{id}/forecast")
    String show(@PathVariable long id, Model model) {
        return page(place(id), "", "", model);
    }

    @PostMapping("/places/{id}/forecast")
    String bringIn(
            @PathVariable long id,
            @RequestParam Optional<MultipartFile> file,
            @RequestParam(defaultValue = "") String text,
            Model model,
            HttpServletResponse response) {
        Kept<Place> place = place(id);
        try {
            Optional<MultipartFile> sent = file.filter(f -> !f.isEmpty());
            String body =
                    sent.map(f -> Upload.text(f, MOST_BYTES, "CSV or JSON")).orElse(text);
            String name = sent.map(
                            f -> Optional.ofNullable(f.getOriginalFilename()).orElse("a file"))
                    .orElse("typed hours");
            Forecast read = ForecastFile.read(name, body, place.it().zone(), clock.instant());
            forecasts.keep(place.it().observer(), read);
            return "redirect:/places/" + id + "/forecast";
        } catch (IllegalArgumentException e) {
            response.setStatus(HttpStatus.BAD_REQUEST.value());
            return page(place, text, Words.sentence(String.valueOf(e.getMessage())), model);
        }
    }

    @PostMapping("/places/{id}/forecast/forget")
    String forget(@PathVariable long id) {
        forecasts.forget(place(id).it().observer());
        return "redirect:/places/" + id + "/forecast";
    }

    private String page(Kept<Place> place, String typed, String wrong, Model model) {
        Optional<Forecast> known = forecasts.near(place.it().observer());
        model.addAttribute("id", place.id());
        model.addAttribute("name", place.it().name());
        model.addAttribute("typed", typed);
        model.addAttribute("wrong", wrong);
        model.addAttribute("own", known.map(f -> !f.simulated()).orElse(false));
        model.addAttribute(
                "source",
                known.map(f -> WeatherWords.source(f, place.it().zone()))
                        .orElse("No forecast is known for this place yet."));
        model.addAttribute(
                "hours",
                known.map(f -> WeatherWords.hours(
                                "Every third hour",
                                f,
                                Interval.of(
                                        f.hours().get(0).at(),
                                        f.hours().get(f.hours().size() - 1).at().plusSeconds(1)),
                                place.it().zone()))
                        .orElse(null));
        return "weather/forecast";
    }

    private Kept<Place> place(long id) {
        return NotFound.place(places, id);
    }
}
