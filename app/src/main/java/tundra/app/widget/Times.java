package tundra.app.widget;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/** Moments as they are said to who sits here. */
public final class Times {
    private Times() {}

    /** @param time in ms since 1970 @return such as “today at 16:40” or “3 March at 9:05” */
    public static String day(long time) {
        var at = Instant.ofEpochMilli(time).atZone(ZoneId.systemDefault());
        String clock = at.format(DateTimeFormatter.ofPattern("HH:mm"));
        return at.toLocalDate().equals(LocalDate.now()) ? "today at " + clock : at.format(DateTimeFormatter.ofPattern("d MMMM", Locale.ENGLISH)) + " at " + clock;
    }
}
