package tundra.core.model;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A kind of event, condition or action: its sentence with typed slots. */
public sealed interface SentenceKind permits EventKind, ConditionKind, ActionKind {
    Pattern SLOT = Pattern.compile("\\{(\\w+)}");

    /** Its name in the file and on the page. */
    String key();

    /** With its slots between braces. */
    String sentence();

    List<Slot> slots();

    /** A piece of a sentence: words, or a slot. */
    record Part(String words, Slot slot) {}

    default List<Part> parts() {
        return parts(sentence());
    }

    /** @param sentence the same in other words or another order, with all of its slots between braces */
    default List<Part> parts(String sentence) {
        var out = new ArrayList<Part>();
        Matcher m = SLOT.matcher(sentence);
        int from = 0;
        while (m.find()) {
            words(out, sentence.substring(from, m.start()));
            String name = m.group(1);
            out.add(new Part(null, slots().stream().filter(s -> s.key().equals(name)).findFirst().orElseThrow()));
            from = m.end();
        }
        words(out, sentence.substring(from));
        return out;
    }

    private static void words(List<Part> out, String text) {
        if (!text.isBlank()) {
            out.add(new Part(text.strip(), null));
        }
    }
}
