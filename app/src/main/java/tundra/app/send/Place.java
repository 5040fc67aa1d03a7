package tundra.app.send;

import java.nio.file.Path;

/**
 * Where pages are sent to.
 *
 * @param address of a host with its scheme, without user or secret; of a folder its path
 * @param user empty for none
 * @param folder on the host, without / at its ends
 */
public record Place(Kind kind, String address, String user, String folder) {
    public enum Kind {
        FOLDER("A folder"), PRACTICE("Practice host"), WEBDAV("WebDAV"), SFTP("SFTP");

        public final String words;

        Kind(String words) {
            this.words = words;
        }
    }

    /** @throws IllegalArgumentException with one sentence for what can't be one */
    public Place {
        address = address.strip().replaceAll("/+$", "");
        folder = folder.strip().replaceAll("^/+|/+$", "");
        if (address.isEmpty()) {
            throw new IllegalArgumentException(kind == Kind.FOLDER ? "Name the folder to send to." : "Write the address of the host.");
        }
        if (kind != Kind.FOLDER && !address.matches(kind == Kind.SFTP ? "sftp://[^/@\\s]+" : "https?://[^@\\s]+")) {
            throw new IllegalArgumentException(kind == Kind.SFTP ? "An SFTP address looks like sftp://host or sftp://host:2222; “" + address
                    + "” is none." : "The address looks like https://host/path; “" + address + "” is none.");
        }
        if (folder.matches("(.*/)?\\.{1,2}(/.*)?") || !folder.matches("[^\\\\:*?\"<>|\\p{Cntrl}]*")) {
            throw new IllegalArgumentException("“" + folder + "” can't be a folder on a host.");
        }
    }

    /** By an address alone: a path, or one that begins with sftp:, dav:, davs:, http: or https:. */
    public static Place of(String text, String user) {
        if (text.startsWith("sftp://")) {
            int path = text.indexOf('/', "sftp://".length());
            return new Place(Kind.SFTP, path < 0 ? text : text.substring(0, path), user, path < 0 ? "" : text.substring(path));
        }
        return text.matches("(dav|http)s?://.*") ? new Place(Kind.WEBDAV, text.replaceFirst("^dav", "http"), user, "")
                : new Place(Kind.FOLDER, Path.of(text).toString(), "", "");
    }

    /** As one line, for settings. */
    public String text() {
        return kind + "\t" + address + "\t" + user + "\t" + folder;
    }

    /** Null for a line that is none. */
    public static Place parse(String text) {
        try {
            String[] p = text == null ? new String[0] : text.split("\t", -1);
            return p.length == 4 ? new Place(Kind.valueOf(p[0]), p[1], p[2], p[3]) : null;
        } catch (IllegalArgumentException e) {
            return null;
        }
    }

    /** As people say it. */
    public String words() {
        return address.replaceFirst("^[a-z]+://", "") + (folder.isEmpty() ? "" : "/" + folder);
    }
}
