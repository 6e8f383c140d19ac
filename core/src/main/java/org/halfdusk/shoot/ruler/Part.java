package org.halfdusk.shoot.ruler;

import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.exposure.Setting;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.shoot.setting.wished.Wishes;

/** What lets light in: each on the scale of stops on which more is brighter. */
public enum Part {
    /** log₂ of seconds. */
    TIME {
        @Override
        public double stops(double seconds) {
            return log2(seconds);
        }

        @Override
        public double value(Setting s) {
            return s.shutter().realSeconds();
        }

        @Override
        public boolean held(Wishes w) {
            return w.pinnedSeconds().isPresent();
        }

        @Override
        public Wishes holding(Wishes w, OptionalDouble value) {
            return w.withSeconds(value);
        }

        @Override
        double nominal(Setting s) {
            return s.shutter().nominalSeconds();
        }
    },
    /** −2 log₂ of the f-number. */
    APERTURE {
        @Override
        public double stops(double fNumber) {
            return -2 * log2(fNumber);
        }

        @Override
        public double value(Setting s) {
            return s.fNumber().value();
        }

        @Override
        public boolean held(Wishes w) {
            return w.pinnedAperture().isPresent();
        }

        @Override
        public Wishes holding(Wishes w, OptionalDouble value) {
            Optional<FNumber> n = value.isPresent() ? Optional.of(FNumber.of(value.getAsDouble())) : Optional.empty();
            return w.withAperture(n);
        }
    },
    /** log₂ over ISO 100. */
    ISO {
        @Override
        public double stops(double iso) {
            return log2(iso / 100);
        }

        @Override
        public double value(Setting s) {
            return s.iso().value();
        }

        @Override
        public boolean held(Wishes w) {
            return w.pinnedIso().isPresent();
        }

        @Override
        public Wishes holding(Wishes w, OptionalDouble value) {
            Optional<Iso> iso = value.isPresent() ? Optional.of(Iso.of(value.getAsDouble())) : Optional.empty();
            return w.withIso(iso);
        }
    };

    private static double log2(double v) {
        return Math.log(v) / Math.log(2);
    }

    /** Where a value stands on the scale. */
    public abstract double stops(double value);

    /** What a setting has of it, as it really is. */
    public abstract double value(Setting s);

    /** Whether a person has fixed it. */
    public abstract boolean held(Wishes w);

    /** Fixed at a value, or free where there is none. */
    public abstract Wishes holding(Wishes w, OptionalDouble value);

    /** As it stands on the dial. */
    double nominal(Setting s) {
        return value(s);
    }
}
