package tundra.core.edit;

import java.time.LocalDateTime;
import java.time.format.DateTimeParseException;
import tundra.core.model.Blocks;
import tundra.core.model.Links;
import tundra.core.model.Slot;

/** What may be written in a setting of a block. */
public final class SettingWords {
    private static final int LONGEST = 2000;

    private SettingWords() {}

    /** What is wrong with a text, in one sentence; null where it may stand. */
    public static String problem(Slot slot, String text) {
        return switch (slot.type()) {
            case LINK -> text.isEmpty() && "".equals(slot.standard()) || Links.web(text)
                    ? null : "That is no web address: http, https, or relative to the page.";
            case PHONE -> Links.phone(text) ? null : "That is no telephone number.";
            case MAIL -> Links.mail(text) ? null : "That is no mail address.";
            case DATE -> date(text) ? null : "That is no day and time, such as 2027-01-09T18:00.";
            default -> text.length() <= LONGEST ? null : "That has more than " + LONGEST + " letters.";
        };
    }

    private static boolean date(String text) {
        try {
            LocalDateTime.parse(text);
            return true;
        } catch (DateTimeParseException e) {
            return false;
        }
    }

    /** What is expected, such as https://…. */
    public static String hint(Slot slot) {
        return switch (slot.type()) {
            case LINK -> slot == Blocks.ADDRESS ? "https://… asks another host" : "https://…";
            case DATE -> "2027-01-09T18:00";
            case PHONE -> "+00 000 000";
            case MAIL -> "somebody@example.org";
            default -> "";
        };
    }
}
