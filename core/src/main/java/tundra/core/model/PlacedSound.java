package tundra.core.model;

/**
 * A sound of the shelf that is heard with a timeline. All times are µs.
 *
 * @param asset by content hash
 * @param start when it begins on the timeline
 * @param volume 0 silent to 1 as it was recorded
 * @param fadeIn for how long it rises to its volume
 * @param fadeOut for how long it falls to silence at its end
 * @param from where in the file it begins
 * @param length how much of the file is heard, {@value #SHORTEST} at least; 0 for all from there on
 * @param loop whether it begins again and again until the timeline ends
 */
public record PlacedSound(String id, String asset, long start, double volume, long fadeIn, long fadeOut, long from, long length, boolean loop) {
    /** What is shorter is no sound, and begun again and again it would take a machine's whole time. */
    public static final long SHORTEST = 10_000;

    public PlacedSound {
        volume = Math.max(0, Math.min(1, volume));
        fadeIn = Math.max(0, fadeIn);
        fadeOut = Math.max(0, fadeOut);
        from = Math.max(0, from);
        length = length <= 0 ? 0 : Math.max(SHORTEST, length);
    }

    public PlacedSound(String id, String asset, long start, double volume) {
        this(id, asset, start, volume, 0, 0, 0, 0, false);
    }

    /** The stretch of a file of a duration that is heard. */
    public long part(long duration) {
        long left = Math.max(0, duration - from);
        return length == 0 ? left : Math.min(left, length);
    }

    /** For how long it is heard. */
    public long heard(long duration, long timeline) {
        return loop ? Math.max(0, timeline - start) : part(duration);
    }

    /** How loud it is so long after it began, 0 to 1. */
    public double gain(double since, long heard) {
        double rise = fadeIn == 0 ? 1 : since / fadeIn, fall = fadeOut == 0 ? 1 : (heard - since) / fadeOut;
        return since < 0 || since >= heard ? 0 : volume * Math.max(0, Math.min(1, Math.min(rise, fall)));
    }

    /** With fades that are not longer than what is heard, the falling one after the rising one. */
    public PlacedSound bounded(long heard) {
        long in = Math.min(fadeIn, heard);
        return withFades(in, Math.min(fadeOut, heard - in));
    }

    public PlacedSound withId(String i) {
        return new PlacedSound(i, asset, start, volume, fadeIn, fadeOut, from, length, loop);
    }

    public PlacedSound withStart(long s) {
        return new PlacedSound(id, asset, s, volume, fadeIn, fadeOut, from, length, loop);
    }

    public PlacedSound withVolume(double v) {
        return new PlacedSound(id, asset, start, v, fadeIn, fadeOut, from, length, loop);
    }

    public PlacedSound withFades(long in, long out) {
        return new PlacedSound(id, asset, start, volume, in, out, from, length, loop);
    }

    public PlacedSound trimmed(long newFrom, long newLength) {
        return new PlacedSound(id, asset, start, volume, fadeIn, fadeOut, newFrom, newLength, loop);
    }

    public PlacedSound withLoop(boolean l) {
        return new PlacedSound(id, asset, start, volume, fadeIn, fadeOut, from, length, l);
    }
}
