package tundra.core.model;

/**
 * A sound of the shelf that is heard with a timeline.
 *
 * @param asset by content hash
 * @param start when it begins, in µs of the timeline
 * @param volume 0 silent to 1 as it was recorded
 */
public record PlacedSound(String id, String asset, long start, double volume) {
    public PlacedSound withStart(long s) {
        return new PlacedSound(id, asset, s, volume);
    }

    public PlacedSound withVolume(double v) {
        return new PlacedSound(id, asset, start, Math.max(0, Math.min(1, v)));
    }
}
