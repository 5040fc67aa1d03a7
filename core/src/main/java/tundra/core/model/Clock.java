package tundra.core.model;

import tundra.core.geometry.Numbers;

/**
 * What drives the time of a motif's instance.
 *
 * @param own whether it runs by itself from when its scene was opened, rather than in step with the timeline that it sits on
 * @param phase how far into the motif it starts, in µs
 * @param speed how fast, negative for backwards; −100 to 100
 */
public record Clock(boolean own, Repeat repeat, long phase, double speed) {
    public static final Clock OWN = new Clock(true, Repeat.LOOP, 0, 1);
    public static final Clock PARENT = new Clock(false, Repeat.LOOP, 0, 1);
    private static final double FASTEST = 100;

    /** What follows the end of the motif: it begins again, it stays as it is, or it never runs at all and stands at its phase. */
    public enum Repeat {
        LOOP("loop"), ONCE("once"), HOLD("hold one frame");

        public final String words;

        Repeat(String words) {
            this.words = words;
        }
    }

    public Clock {
        speed = Double.isFinite(speed) ? Numbers.clamp(speed, -FASTEST, FASTEST) : 1;
    }

    /**
     * The motif's time.
     *
     * @param time on the clock that drives it: since the scene was opened, or on the parent's timeline since the start of the instance's span; in µs
     * @param duration of the motif's Main timeline, in µs
     */
    public long local(long time, long duration) {
        long t = repeat == Repeat.HOLD ? phase : phase + Math.round(time * speed);
        return repeat == Repeat.LOOP ? Math.floorMod(t, Math.max(1, duration)) : Math.max(0, Math.min(duration, t));
    }

    public Clock withOwn(boolean o) {
        return new Clock(o, repeat, phase, speed);
    }

    public Clock withRepeat(Repeat r) {
        return new Clock(own, r, phase, speed);
    }

    public Clock withPhase(long p) {
        return new Clock(own, repeat, p, speed);
    }

    public Clock withSpeed(double s) {
        return new Clock(own, repeat, phase, s);
    }
}
