package tundra.core.edit;

import java.util.Locale;
import tundra.core.geometry.Numbers;

/** Times as people read them. */
public final class TimeText {
    private TimeText() {}

    /** Minutes, seconds and hundredths: 0:01.50. */
    public static String clock(long micros) {
        long hundredths = Math.round(micros / 10_000.0);
        return String.format(Locale.ROOT, "%d:%02d.%02d", hundredths / 6000, hundredths / 100 % 60, hundredths % 100);
    }

    /** Seconds with as many places as it needs: 1.5 s. */
    public static String seconds(long micros) {
        return Numbers.plain(micros / 1e6, 3) + " s";
    }
}
