package tundra.core.edit;

import java.util.Comparator;
import java.util.HashSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Names as people sort them: numbers in them count as numbers, so that 2 comes before 10. */
public final class NaturalOrder implements Comparator<String> {
    public static final NaturalOrder OF_NAMES = new NaturalOrder();
    private static final Pattern PART = Pattern.compile("\\d+|\\D+");

    private NaturalOrder() {}

    @Override
    public int compare(String a, String b) {
        Matcher x = PART.matcher(a), y = PART.matcher(b);
        while (true) {
            boolean more = x.find(), other = y.find();
            if (!more || !other) {
                return more ? 1 : other ? -1 : a.compareTo(b);
            }
            int c = part(x.group(), y.group());
            if (c != 0) {
                return c;
            }
        }
    }

    private static int part(String a, String b) {
        if (Character.isDigit(a.charAt(0)) && Character.isDigit(b.charAt(0))) {
            String p = a.replaceFirst("^0+(?=\\d)", ""), q = b.replaceFirst("^0+(?=\\d)", "");
            return p.length() != q.length() ? p.length() - q.length() : p.compareTo(q);
        }
        return String.CASE_INSENSITIVE_ORDER.compare(a, b);
    }

    /** Whether names are told apart by a number at their end, so that their order is meant. */
    public static boolean numbered(Iterable<String> names) {
        var stems = new HashSet<String>();
        var whole = new HashSet<String>();
        int n = 0;
        for (String name : names) {
            if (!name.matches(".*\\d")) {
                return false;
            }
            stems.add(name.replaceFirst("\\d+$", ""));
            whole.add(name);
            n++;
        }
        return stems.size() == 1 && whole.size() == n;
    }
}
