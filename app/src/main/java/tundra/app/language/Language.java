package tundra.app.language;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * The language of the window. Words are written in English where they are used; the bundle of another language, {@code words/CODE.txt},
 * has a line for each of them: the English words, {@code  = }, and the others. Places in braces stand for what differs, such as names,
 * numbers and the slots of a reaction's sentence; what stands there is looked up, too. Of several sentences each is looked up alone.
 */
public final class Language {
    /** The languages that ship, by their codes. */
    public static final Map<String, String> ALL = Map.of("en", "English", "de", "Deutsch");
    /** Not for people: every word that a bundle has, much longer and with accents, which shows what is missing and what has no room. */
    public static final String LONG = "x-long";
    private static final int KEPT = 4000;
    private static final Pattern PLACE = Pattern.compile("\\{(\\w+)\\}");
    /** What has none in it, such as a clock that runs, is the same in all languages. */
    private static final Pattern WORD = Pattern.compile("\\p{L}{2}");
    /** Before the words of a row: what has been done or is open. */
    private static final Pattern MARK = Pattern.compile("[→✓–▸▾ ]+");
    /** Between two sentences. */
    private static final Pattern NEXT = Pattern.compile("(?<=[.!?]) (?=[\\p{Lu}“‘])");
    private static volatile Language now;
    private final String code;
    private final Map<String, String> whole = new LinkedHashMap<>();
    private final List<Template> templates = new ArrayList<>();
    private final Map<String, String> known = new LinkedHashMap<>(64, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<String, String> e) {
            return size() > KEPT;
        }
    };

    /** What was said so far. */
    private final Set<String> given = new HashSet<>();

    /** @param part what the English words have between two places at the longest: words without it are none of these */
    private record Template(Pattern english, String part, String other, int letters) {}

    private Language(String code) {
        this.code = code;
        read(code.equals(LONG) ? "de" : code).forEach((english, other) -> {
            String said = code.equals(LONG) ? longer(english) : other;
            whole.put(english, said);
            if (PLACE.matcher(english).find()) {
                templates.add(template(english, said));
            }
        });
        // what says more comes first
        templates.sort(Comparator.comparingInt((Template t) -> -t.letters));
    }

    /** The words of a bundle, by the English ones. */
    public static Map<String, String> read(String code) {
        var out = new LinkedHashMap<String, String>();
        try (InputStream in = Language.class.getResourceAsStream("/tundra/app/words/" + code + ".txt")) {
            for (String line : new String(in.readAllBytes(), StandardCharsets.UTF_8).lines().toList()) {
                int at = line.indexOf(" = ");
                if (!line.startsWith("#") && at > 0) {
                    out.put(line.substring(0, at).replace("\\n", "\n"), line.substring(at + 3).replace("\\n", "\n"));
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out;
    }

    private static Template template(String english, String other) {
        var out = new StringBuilder();
        Matcher m = PLACE.matcher(english);
        int at = 0;
        while (m.find()) {
            out.append(Pattern.quote(english.substring(at, m.start()))).append("(?<p").append(m.group(1)).append(">.+?)");
            at = m.end();
        }
        String longest = Arrays.stream(PLACE.split(english)).max(Comparator.comparingInt(String::length)).orElse("");
        return new Template(Pattern.compile(out + Pattern.quote(english.substring(at)), Pattern.DOTALL), longest, other, english.length());
    }

    private static String longer(String english) {
        var out = new StringBuilder("[");
        boolean place = false;
        for (char c : english.toCharArray()) {
            place = c == '{' || place && c != '}';
            int i = place ? -1 : "aeiouAEIOU".indexOf(c);
            out.append(i < 0 ? c : "áéíóúÁÉÍÓÚ".charAt(i));
            if (i >= 0) {
                out.append("áéíóúÁÉÍÓÚ".charAt(i));
            }
        }
        return out.append("]").toString();
    }

    /** Takes a language, from the next words on; one that isn't known is English. */
    public static void use(String code) {
        now = code.equals(LONG) || ALL.containsKey(code) && !code.equals("en") ? new Language(code) : null;
    }

    public static String code() {
        Language l = now;
        return l == null ? "en" : l.code;
    }

    /** Whether words are translated at all. */
    public static boolean translates() {
        return now != null;
    }

    /** English words in the language of the window; words that its bundle doesn't have stay as they are. */
    public static String of(String english) {
        Language l = now;
        return l == null || english == null || english.isBlank() ? english : l.said(english);
    }

    /** The names of keys, word by word. */
    public static String keys(String english) {
        return now == null ? english : Arrays.stream(english.split(" ")).map(Language::of).collect(Collectors.joining(" "));
    }

    private synchronized String said(String english) {
        if (!WORD.matcher(english).find()) {
            return english;
        }
        // what is said in the other language already is not looked up as if it were English
        if (given.contains(english)) {
            return english;
        }
        String out = known.get(english);
        if (out == null) {
            out = looked(english);
            known.put(english, out);
            if (!out.equals(english)) {
                given.add(out);
                if (given.size() > 10 * KEPT) {
                    given.clear();
                }
            }
        }
        return out;
    }

    private String looked(String english) {
        String out = whole.get(english);
        if (out != null) {
            return out;
        }
        Matcher mark = MARK.matcher(english);
        if (mark.lookingAt() && !said(english.substring(mark.end())).equals(english.substring(mark.end()))) {
            return mark.group() + said(english.substring(mark.end()));
        }
        String[] sentences = NEXT.split(english);
        List<String> each = sentences.length < 2 ? List.of() : Arrays.stream(sentences).map(this::said).toList();
        if (!each.isEmpty() && IntStream.range(0, sentences.length).noneMatch(i -> each.get(i).equals(sentences[i]))) {
            return String.join(" ", each);
        }
        for (Template t : templates) {
            if (english.contains(t.part)) {
                Matcher m = t.english.matcher(english);
                if (m.matches()) {
                    return filled(t, m);
                }
            }
        }
        return each.isEmpty() ? english : String.join(" ", each);
    }

    private String filled(Template t, Matcher m) {
        String out = t.other;
        for (String name : m.namedGroups().keySet()) {
            out = out.replace("{" + name.substring(1) + "}", said(m.group(name)));
        }
        return out;
    }
}
