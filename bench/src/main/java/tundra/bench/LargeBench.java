package tundra.bench;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import tundra.core.file.ProjectFile;
import tundra.core.model.Project;

/** Prints the figures of a piece of 12 scenes, 400 instances and 36 large pictures: in the real window and on its page. */
public final class LargeBench {
    private LargeBench() {}

    /** The argument is the root of the project; "page" or "window" after it measures that alone. */
    public static void main(String[] args) throws Exception {
        Path root = Path.of(args[0]);
        String only = args.length > 1 ? args[1] : "";
        Project p = LargePiece.make();
        if (!only.equals("page")) {
            Path file = Files.createTempFile("large", ".tundra");
            ProjectFile.write(p, file);
            said("the piece's file", Files.size(file) / 1e6, "MB");
            System.out.print(new StartBench(root).inWindow("tundra.bench.LargeInWindow", file.toString()));
            Files.delete(file);
        }
        if (!only.equals("window")) {
            try (var page = new PageBench()) {
                PageBench.Grown g = page.grown(p);
                said("the page: compiled in", g.compiled(), "ms");
                said("the page: its files", g.kilobytes(), "KB");
                said("the page: loaded in", g.loaded(), "ms");
                said("the page: parts", g.parts(), "");
                said("the page: animations of the first scene", page.animations(), "");
                said("the page: main thread", g.mainThread(), "ms/s");
                said("the page: pictures", g.pictures(), "/s");
            }
        }
        System.exit(0);
    }

    private static void said(String what, double figure, String unit) {
        System.out.printf(Locale.ROOT, "%s %.1f %s%n", what, figure, unit);
    }
}
