package tundra.core.file;

import java.nio.file.Path;

/** Paths as they stand in a sentence. */
public final class ShownPath {
    /** Longer ones are shortened in the middle, in characters. */
    public static final int LENGTH = 60;

    private ShownPath() {}

    /**
     * The whole path where it is short; else its first name, an ellipsis and as many of its last names as fit. A last name that is too long is cut in
     * its middle.
     */
    public static String of(Path path) {
        Path p = path.toAbsolutePath().normalize();
        String whole = p.toString();
        if (whole.length() <= LENGTH || p.getNameCount() == 0) {
            return whole;
        }
        String head = p.getNameCount() == 1 ? String.valueOf(p.getRoot()) : p.getRoot() + p.getName(0).toString() + "/…/";
        if (head.length() > LENGTH / 2) {
            head = "…/";
        }
        String tail = cut(p.getFileName().toString(), LENGTH - head.length());
        for (int i = p.getNameCount() - 2; i > 0; i--) {
            String longer = p.getName(i) + "/" + tail;
            if (head.length() + longer.length() > LENGTH) {
                break;
            }
            tail = longer;
        }
        return head + tail;
    }

    private static String cut(String name, int length) {
        if (name.length() <= length) {
            return name;
        }
        int half = (length - 1) / 2;
        return name.substring(0, half) + "…" + name.substring(name.length() - half);
    }
}
