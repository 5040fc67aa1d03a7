package tundra.core.file;

import java.time.LocalDateTime;
import java.time.format.DateTimeParseException;
import java.util.LinkedHashMap;
import java.util.Map;
import tundra.core.model.Limits;
import tundra.core.model.Links;
import tundra.core.model.Slot;
import tundra.core.model.Transition;

/** Reads what stands in slots that name nothing of the piece. */
final class SlotReader {
    private static final int TEXT = 2000;
    private static final int CAPTIONS = 1000;

    private SlotReader() {}

    static Object plain(Fields f, Slot s) throws FileProblem {
        String k = s.key();
        return switch (s.type()) {
            case TIME, DURATION -> f.whole(k, 0, Limits.TIME);
            case NUMBER -> f.number(k, s.min(), s.max());
            case TEXT, CONTENT, FONT, MAP_PLACE -> words(f, k);
            case CHOICE -> valid(f, k, s.choices().contains(f.text(k)), "should be one of " + String.join(", ", s.choices()));
            case EASING -> valid(f, k, TimelineReader.easing(f, k) != null, "should be an easing");
            case LINK -> valid(f, k, f.text(k).isEmpty() && "".equals(s.standard()) || Links.web(f.text(k)),
                    "should be a web address of http or https, or a relative one");
            case PHONE -> valid(f, k, Links.phone(f.text(k)), "should be a telephone number");
            case MAIL -> valid(f, k, Links.mail(f.text(k)), "should be a mail address");
            case TRANSITION -> !f.has(k) ? Transition.OWN : valid(f, k, f.text(k).isEmpty() || Transition.parse(f.text(k)) != null,
                    "should be a transition such as push left 500000 ease");
            case KEY -> valid(f, k, Links.key(f.text(k)), "should be a key of the keyboard");
            case COLOR -> ValueReader.color(f.raw(k), f, k).hex();
            case DATE -> valid(f, k, date(f.text(k)), "should be a day and time such as 2027-01-09T18:00");
            case MAP -> GeoJson.read(f.object(k));
            case CAPTIONS -> captions(f.object(k));
            default -> throw new IllegalStateException(s.type() + " names something");
        };
    }

    static boolean date(String text) {
        try {
            LocalDateTime.parse(text);
            return text.length() <= 30;
        } catch (DateTimeParseException e) {
            return false;
        }
    }

    private static Map<String, String> captions(Fields f) throws FileProblem {
        var out = new LinkedHashMap<String, String>();
        for (String id : f.names()) {
            out.put(id, words(f, id));
        }
        if (out.size() > CAPTIONS) {
            throw new FileProblem(f.where() + " holds more than " + CAPTIONS + " captions");
        }
        return out;
    }

    static String words(Fields f, String field) throws FileProblem {
        return valid(f, field, f.text(field).length() <= TEXT, "should have at most " + TEXT + " letters");
    }

    private static String valid(Fields f, String field, boolean good, String should) throws FileProblem {
        if (!good) {
            throw f.problem(field, should);
        }
        return f.text(field);
    }
}
