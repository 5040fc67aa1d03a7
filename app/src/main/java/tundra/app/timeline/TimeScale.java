package tundra.app.timeline;

/** Where times stand in the timeline: {@code left} px for {@code start} µs, and px per second. */
record TimeScale(double left, double start, double perSecond) {
    double x(double time) {
        return left + (time - start) * perSecond / 1e6;
    }

    double time(double x) {
        return start + (x - left) / perSecond * 1e6;
    }

    /** The whole of a duration in a width. */
    static TimeScale fit(double left, double width, long duration) {
        return new TimeScale(left, 0, Math.max(1, width / (duration / 1e6)));
    }

    /** Zoomed with the time at {@code x} standing still; never before the start. */
    TimeScale zoomed(double factor, double x) {
        double k = Math.max(4, Math.min(4000, perSecond * factor));
        return new TimeScale(left, Math.max(0, time(x) - (x - left) / k * 1e6), k);
    }

    TimeScale scrolled(double px, long duration) {
        return new TimeScale(left, Math.max(0, Math.min(duration, start + px / perSecond * 1e6)), perSecond);
    }
}
