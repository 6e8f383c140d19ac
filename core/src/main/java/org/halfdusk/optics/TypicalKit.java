package org.halfdusk.optics;

import java.util.List;
import java.util.OptionalDouble;

/** Kit by typical figures, so that nobody has to begin with a data sheet. */
public final class TypicalKit {
    public static final List<Camera> CAMERAS = List.of(
            sensor("Full frame 24 MP", new Sensor(35.9, 23.9, 6000, 4000), 25_600, 25, 80, 500),
            sensor("Full frame 33 MP", new Sensor(35.9, 23.9, 7008, 4672), 25_600, 34, 90, 530),
            sensor("Full frame 45 MP", new Sensor(35.9, 23.9, 8256, 5504), 12_800, 50, 60, 400),
            sensor("APS-C 24 MP", new Sensor(23.5, 15.6, 6000, 4000), 12_800, 24, 40, 380),
            sensor("APS-C 26 MP", new Sensor(23.5, 15.6, 6240, 4160), 12_800, 26, 42, 380),
            sensor("Four-thirds 20 MP", new Sensor(17.4, 13.0, 5184, 3888), 6400, 20, 30, 400),
            sensor("One-inch 20 MP", new Sensor(13.2, 8.8, 5472, 3648), 3200, 21, 20, 240),
            phone(),
            film("6×7 film ISO 400", new Sensor(69.5, 56, 6950, 5600), 400, 10),
            film("36 mm film ISO 400", new Sensor(36, 24, 6000, 4000), 400, 36));

    public static final List<Lens> LENSES = List.of(
            new Lens("14 mm f/1.8", 14, 14, 1.8, 1.8, 16, 2.8),
            new Lens("18 mm f/2", 18, 18, 2, 2, 16, 2.8),
            new Lens("24 mm f/1.4", 24, 24, 1.4, 1.4, 16, 2.8),
            new Lens("35 mm f/1.8", 35, 35, 1.8, 1.8, 16, 4),
            new Lens("50 mm f/1.8", 50, 50, 1.8, 1.8, 16, 4),
            new Lens("14–30 mm f/4", 14, 30, 4, 4, 22, 5.6),
            new Lens("10–20 mm f/2.8", 10, 20, 2.8, 2.8, 22, 4),
            new Lens("18–55 mm f/3.5–5.6", 18, 55, 3.5, 5.6, 22, 8),
            new Lens("24–70 mm f/2.8", 24, 70, 2.8, 2.8, 22, 5.6),
            new Lens("70–200 mm f/2.8", 70, 200, 2.8, 2.8, 22, 5.6),
            new Lens("100–400 mm f/4.5–5.6", 100, 400, 4.5, 5.6, 32, 8),
            new Lens("Phone main lens 6.8 mm f/1.8", 6.8, 6.8, 1.8, 1.8, 1.8, 1.8),
            new Lens("90 mm f/2.8 for 6×7", 90, 90, 2.8, 2.8, 22, 8, false, "", false),
            new Lens("8 mm f/2.8 fisheye", 8, 8, 2.8, 2.8, 22, 5.6, true, "", true));

    private TypicalKit() {}

    private static Camera sensor(String name, Sensor sensor, int highIso, double rawMb, int buffer, int battery) {
        return new Camera(
                name,
                sensor,
                Camera.Sensitivity.of(100, highIso),
                Camera.Shutter.of(1 / 8000.0, 30, true),
                new Camera.Files(rawMb, 10, buffer, 160),
                Camera.Power.of(battery, 180));
    }

    private static Camera phone() {
        Sensor sensor = new Sensor(9.8, 7.35, 8160, 6120);
        return new Camera(
                "Phone main camera 50 MP",
                sensor,
                Camera.Sensitivity.of(50, 3200),
                Camera.Shutter.of(1 / 8000.0, 30, false),
                new Camera.Files(60, 9, 8, 300),
                Camera.Power.of(900, 240));
    }

    /** Film has no file and no battery to speak of; a scan's pixels stand for what it resolves. */
    private static Camera film(String name, Sensor scan, int iso, int frames) {
        return new Camera(
                name,
                scan,
                new Camera.Sensitivity(iso, iso, OptionalDouble.of(1.3), ReadNoise.STEADY),
                new Camera.Shutter(1 / 500.0, 1, true, true, 0, IntervalTimer.USUAL),
                new Camera.Files(0, 0, frames, 1),
                new Camera.Power(1000, 10_000, 0, 0));
    }
}
