package tundra.app.publish;

import java.nio.file.Path;

/** Folders as people name them: from the piece's own folder or from home, and never longer than a line. */
final class ShownFolders {
    /** Of a path that starts elsewhere so many of its last names are shown. */
    private static final int NAMES = 2;

    private ShownFolders() {}

    /** @param piece the file of the piece; null when it has none yet */
    static String shown(Path folder, Path piece) {
        Path to = folder.toAbsolutePath().normalize();
        Path beside = piece == null ? null : piece.toAbsolutePath().normalize().getParent();
        if (beside != null && to.startsWith(beside)) {
            return to.equals(beside) ? "in the piece's folder" : beside.relativize(to) + ", in the piece's folder";
        }
        Path home = Path.of(System.getProperty("user.home")).toAbsolutePath().normalize();
        if (to.startsWith(home) && home.getNameCount() > 0) {
            return to.equals(home) ? "~" : "~/" + home.relativize(to);
        }
        return to.getNameCount() <= NAMES ? to.toString() : "…/" + to.subpath(to.getNameCount() - NAMES, to.getNameCount());
    }
}
