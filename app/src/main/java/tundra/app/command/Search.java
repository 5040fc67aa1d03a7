package tundra.app.command;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.ToIntFunction;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.apache.commons.text.similarity.JaroWinklerSimilarity;
import org.apache.commons.text.similarity.LevenshteinDistance;

/** Finds commands by words: those named so first, then those known by other words, then those that a slip of the keys away. */
final class Search {
    /** How well a command fits; smaller is better. */
    private static final int EXACT = 0, BEGINS = 1, WHOLE = 2, OTHER_WHOLE = 3, WORDS_BEGIN = 4, HOLDS = 5, OTHER_WORDS = 6, MISSPELT = 7, NOT = 8;
    private static final int NEAREST = 4;
    private static final JaroWinklerSimilarity LIKE = new JaroWinklerSimilarity();
    private static final double ALIKE = 0.93;
    /** Their names hold what they would take back, which is not what is looked for. */
    private static final Set<String> BY_FIRST_WORD = Set.of("undo", "redo");
    /** What is about the program comes after what is done in the piece. */
    private static final Pattern AROUND = Pattern.compile("help-page|start-page|lesson|hints|fold-(left|right)|(text-size|language)-.*");
    /** What stands between the words that are meant. */
    private static final Set<String> SMALL = Set.of("a", "an", "and", "the", "of", "my", "this");
    private static final Pattern SPACES = Pattern.compile("[^\\p{L}\\p{N}]+");
    private final String query;
    private final List<String> words;

    Search(String query) {
        this.query = query.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
        List<String> all = List.of(this.query.split(" ")), telling = all.stream().filter(w -> !SMALL.contains(w)).toList();
        this.words = telling.isEmpty() ? all : telling;
    }

    private record Ranked(Command command, int rank) {}

    /**
     * Those that fit, best first; of equally good ones in the order given. What can't be done now is among them only where nothing else is called so.
     */
    List<Command> in(List<Command> all) {
        if (query.isEmpty()) {
            return all.stream().filter(Search::can).toList();
        }
        List<Ranked> named = best(all, this::rank, Search::can);
        if (named.isEmpty() || named.getFirst().rank > OTHER_WHOLE) {
            // what is called so and can't be done now is an answer too, and a better one than what only sounds like it
            List<Ranked> later = best(all, c -> rank(c) > OTHER_WHOLE ? NOT : rank(c), c -> !can(c));
            if (!later.isEmpty()) {
                named = Stream.concat(later.stream(), named.stream()).toList();
            }
        }
        // who is named so hides those that are only spelt alike
        return (named.isEmpty() ? best(all, c -> misspelt(c) ? MISSPELT : NOT, Search::can) : named).stream().map(Ranked::command).toList();
    }

    /** Names are looked at first: whether it can be done is asked only of what fits. */
    private static List<Ranked> best(List<Command> all, ToIntFunction<Command> rank, Predicate<Command> which) {
        var found = new ArrayList<Ranked>();
        for (Command c : all) {
            int r = rank.applyAsInt(c);
            if (r < NOT && which.test(c)) {
                found.add(new Ranked(c, r));
            }
        }
        // of two names that hold a word the shorter says it more
        return found.stream().sorted(Comparator.comparingInt(Ranked::rank).thenComparingInt(r -> r.rank == WHOLE
                ? SPACES.split(name(r.command)).length : 0)).toList();
    }

    private static boolean can(Command c) {
        return c.enabled().getAsBoolean();
    }

    /** The few whose names are most like the query, where nothing fits. */
    List<Command> nearest(List<Command> all) {
        return all.stream().filter(Search::can).sorted(Comparator.comparingDouble(c -> -Arrays.stream(name(c).split(" "))
                .mapToDouble(w -> LIKE.apply(query, w)).max().orElse(0)))
                .limit(NEAREST).toList();
    }

    private static String name(Command c) {
        String name = c.name().get().toLowerCase(Locale.ROOT);
        return BY_FIRST_WORD.contains(c.id()) ? name.split(" ")[0] : name;
    }

    /** What takes something away is not what is meant by the thing's name alone. */
    private int rank(Command c) {
        int r = fits(c);
        if (r > EXACT && r < WORDS_BEGIN && AROUND.matcher(c.id()).matches()) {
            return WORDS_BEGIN;
        }
        return r > EXACT && r < OTHER_WORDS && c.id().endsWith("-delete") && words.stream().noneMatch(name(c).split(" ")[0]::startsWith)
                ? OTHER_WORDS : r;
    }

    private int fits(Command c) {
        String name = name(c), other = OtherWords.of(c.id());
        if (name.equals(query)) {
            return EXACT;
        }
        if (name.startsWith(query + " ") || name.startsWith(query + "…") || name.startsWith(query + ":")) {
            return BEGINS;
        }
        for (String w : words) {
            // whatever fits further on has every word somewhere
            if (!name.contains(w) && !other.contains(w)) {
                return NOT;
            }
        }
        String[] parts = SPACES.split(name), others = other.split(" ");
        if (words.stream().allMatch(List.of(parts)::contains)) {
            return WHOLE;
        }
        if (!other.isEmpty() && words.stream().allMatch(w -> List.of(parts).contains(w) || List.of(others).contains(w))) {
            return OTHER_WHOLE;
        }
        if (words.stream().allMatch(w -> begins(parts, w))) {
            return WORDS_BEGIN;
        }
        if (words.stream().allMatch(name::contains)) {
            return HOLDS;
        }
        if (!other.isEmpty() && words.stream().allMatch(w -> begins(parts, w) || begins(others, w))) {
            return OTHER_WORDS;
        }
        return NOT;
    }

    private boolean misspelt(Command c) {
        String[] parts = SPACES.split(name(c)), others = OtherWords.of(c.id()).split(" ");
        return words.stream().allMatch(w -> near(parts, w) || near(others, w));
    }

    private static boolean begins(String[] parts, String word) {
        return Arrays.stream(parts).anyMatch(p -> p.startsWith(word));
    }

    /** Whether one of the words, or its beginning, is spelt alike: one slip in four letters, two from seven on, or letters that changed places. */
    private static boolean near(String[] parts, String word) {
        int slips = word.length() < 4 ? 0 : word.length() < 7 ? 1 : 2;
        var distance = new LevenshteinDistance(slips);
        for (String p : parts) {
            String beginning = p.substring(0, Math.min(p.length(), word.length()));
            boolean few = distance.apply(p, word) >= 0 || slips > 0 && p.length() > word.length() && distance.apply(beginning, word) >= 0;
            if (p.length() >= 3 && (few || word.length() > 4 && LIKE.apply(beginning, word) >= ALIKE)) {
                return true;
            }
        }
        return false;
    }
}
