package tundra.core.motion;

/**
 * How a value travels from one key to the next: a function of progress 0..1 with value 0 at the start and 1 at the end (hold
 * excepted). The text form is what CSS easing functions look like, plus the families' names and {@code hold}.
 */
public sealed interface Easing permits CubicEasing, FamilyEasing, StepsEasing, Easing.Linear, Easing.Hold, SpringEasing, PartEasing {
    Easing LINEAR = new Linear();
    Easing HOLD = new Hold();

    /** The eased progress; {@code p} in 0..1. */
    double at(double p);

    /** The form written to the file; {@link EasingText#parse} reads it. */
    String text();

    /** Even speed. */
    record Linear() implements Easing {
        @Override
        public double at(double p) {
            return p;
        }

        @Override
        public String text() {
            return "linear";
        }
    }

    /** Stays at the first value and jumps at the end. */
    record Hold() implements Easing {
        @Override
        public double at(double p) {
            return p < 1 ? 0 : 1;
        }

        @Override
        public String text() {
            return "hold";
        }
    }
}
