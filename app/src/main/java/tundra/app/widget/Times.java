package tundra.app.widget;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/** Moments as they are said to who sits here. */
public final class Times {
    private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("HH:mm", Locale.ROOT), DAY = DateTimeFormatter.ofPattern("d MMMM",
            Locale.ENGLISH), YEAR = DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH);

    private Times() {}

    /** @param time in ms since 1970 @return such as “today at 16:40”, “3 March at 09:05” or, of another year, “3 March 2025 at 09:05” */
    public static String day(long time) {
        var at = Instant.ofEpochMilli(time).atZone(ZoneId.systemDefault());
        LocalDate day = at.toLocalDate(), today = LocalDate.now();
        String said = day.equals(today) ? "today" : day.equals(today.minusDays(1)) ? "yesterday" : at.format(day.getYear() == today.getYear() ? DAY
                : YEAR);
        return said + " at " + at.format(CLOCK);
    }
}
