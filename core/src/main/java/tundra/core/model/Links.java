package tundra.core.model;

import java.net.URI;
import java.net.URISyntaxException;

/** Which addresses a piece may lead to. */
public final class Links {
    private Links() {}

    /** A web address of http or https, or one that is relative to the page; never a script or a file. */
    public static boolean web(String s) {
        try {
            if (s.isBlank() || s.length() > 2000 || !s.equals(s.strip())) {
                return false;
            }
            URI u = new URI(s.replace(" ", "%20"));
            return u.getScheme() == null ? !s.startsWith("//") && !s.contains("\\") : u.getScheme().matches("(?i)https?") && u.getHost() != null;
        } catch (URISyntaxException e) {
            return false;
        }
    }

    /** Digits with what people write between them. */
    public static boolean phone(String s) {
        return s.matches("\\+?[0-9 ()/.-]{2,40}") && s.matches(".*[0-9].*");
    }

    public static boolean mail(String s) {
        return s.length() <= 200 && s.matches("[A-Za-z0-9._%+-]+@[A-Za-z0-9.-]+\\.[A-Za-z]{2,}");
    }

    /** A key's name as browsers give it, behind its modifiers. */
    public static boolean key(String s) {
        return s.matches("(Ctrl\\+|Alt\\+|Shift\\+|Meta\\+)*([A-Za-z0-9]{1,20}|[^\\sA-Za-z0-9])");
    }
}
