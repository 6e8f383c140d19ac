package org.halfdusk.web.exchange;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.time.ZoneId;
import org.halfdusk.weather.Forecast;
import org.halfdusk.weather.WeatherHour;
import org.junit.jupiter.api.Test;

class ForecastFileTest {
    private static final ZoneId MADRID = ZoneId.of("Europe/Madrid");
    private static final Instant NOW = Instant.parse("2027-05-24T18:00:00Z");

    private static Forecast read(String text) {
        return ForecastFile.read("hours.csv", text, MADRID, NOW);
    }

    private static String refused(String text) {
        return String.valueOf(
                assertThrows(IllegalArgumentException.class, () -> read(text)).getMessage());
    }

    @Test
    void csvInThePlacesOwnTime() {
        Forecast f = read("""
                time,cloud_low,cloud_mid,cloud_high,wind,temperature,dew_point,visibility
                2027-06-04T22:00,5,10,20,3.2,17.4,12.1,35
                2027-06-04 23:00,0,0,0,2.8,16.9,12.3,
                """);
        assertEquals(2, f.hours().size());
        WeatherHour h = f.hours().get(0);
        assertEquals(Instant.parse("2027-06-04T20:00:00Z"), h.at());
        assertEquals(0.1, h.midCloud());
        assertEquals(35, h.visibilityKm().orElseThrow());
        assertTrue(f.hours().get(1).visibilityKm().isEmpty());
        assertEquals("hours.csv", f.source());
    }

    @Test
    void semicolonsDecimalCommasHumidityAndOneCloud() {
        WeatherHour h = read("﻿Time;Cloud;Wind;Temperature;Humidity\n2027-06-04T22:00+02:00;40;3,5;10;80\n")
                .hours()
                .get(0);
        assertEquals(0.4, h.lowCloud());
        assertEquals(3.5, h.windMetresPerSecond());
        assertEquals(6.7, h.dewPointCelsius(), 0.05);
        assertEquals(Instant.parse("2027-06-04T20:00:00Z"), h.at());
    }

    @Test
    void jsonAsListOrUnderHours() {
        String hour = """
                {"time": "2027-06-04T20:00:00Z", "cloud": 12, "wind": 2, "temperature": 18, "dew_point": 11,
                 "turbulence": 1.4, "precipitation": null}""";
        assertEquals(
                1.4, read("[" + hour + "]").hours().get(0).turbulenceArcsec().orElseThrow());
        assertEquals(0.12, read("{\"hours\": [" + hour + "]}").hours().get(0).lowCloud());
    }

    @Test
    void saysWhatIsWrongAndWhere() {
        String heads = "time,cloud,wind,temperature,dew_point\n";
        assertEquals(
                "row 1: wind “fast” is not a number; digits with a decimal point are allowed",
                refused(heads + "2027-06-04T22:00,0,fast,10,5"));
        assertEquals("row 2: wind is missing", refused(heads + "2027-06-04T22:00,0,1,10,5\n2027-06-04T23:00,0,,10,5"));
        assertTrue(refused(heads + "tonight,0,1,10,5").startsWith("row 1: time “tonight” is not a time; write 2027"));
        assertTrue(refused(heads + "2027-06-04T22:00,120,1,10,5")
                .contains("low cloud 1.2 of the sky is outside 0 to 1 of the sky"));
        assertTrue(refused("").contains("empty"));
        assertTrue(refused("{\"days\": []}").contains("no list of hours"));
        assertTrue(refused("[{\"time\": ").contains("no JSON"));
        assertTrue(refused(heads).contains("0 hours"));
    }

    @Test
    void aHugeFileIsRefusedBeforeItIsRead() {
        String rows = "2027-06-04T22:00,0,1,10,5\n".repeat(Forecast.MOST_HOURS + 1);
        assertTrue(refused("time,cloud,wind,temperature,dew_point\n" + rows).contains("745 rows"));
    }
}
