package tundra.app.cli;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import picocli.CommandLine.Option;

/** Where a command writes to: never over what it reads, and over what is not of its own kind only when that is asked for. */
final class OutputFile {
    @Option(names = "--force", description = "writes over a file that is something else")
    private boolean force;

    /** What a written file starts with. */
    enum Kind {
        PNG("a PNG picture"), SVG("an SVG drawing"), MP4("an MP4 film"), WEBM("a WebM film"), GIF("a GIF picture"), WEBP("a WebP picture");

        private final String words;

        Kind(String words) {
            this.words = words;
        }

        /** Of a file's ending. */
        static Kind of(String ending) {
            return valueOf(ending.toUpperCase(java.util.Locale.ROOT));
        }

        private boolean is(byte[] start) {
            String text = new String(start, StandardCharsets.ISO_8859_1);
            return switch (this) {
                case PNG -> text.startsWith("\u0089PNG");
                case SVG -> text.contains("<svg");
                case MP4 -> text.startsWith("ftyp", 4);
                case WEBM -> text.startsWith("\u001aE\u00df\u00a3");
                case GIF -> text.startsWith("GIF8");
                case WEBP -> text.startsWith("RIFF") && text.startsWith("WEBP", 8);
            };
        }
    }

    /** Throws with one sentence where a file must not or can't be written. */
    void allow(Path to, Kind kind, Path... inputs) throws IOException {
        String name = "“" + to.getFileName() + "”";
        Path folder = to.toAbsolutePath().getParent();
        if (Files.isDirectory(to)) {
            throw new IllegalArgumentException(name + " is a folder; name the file to write.");
        }
        if (!Files.isDirectory(folder)) {
            throw new IllegalArgumentException("There is no folder “" + folder.getFileName() + "” to write " + name + " into; make it first.");
        }
        if (!Files.exists(to)) {
            return;
        }
        for (Path in : inputs) {
            if (Files.exists(in) && Files.isSameFile(in, to)) {
                throw new IllegalArgumentException(name + " is the file that is read; name another one to write. Nothing was changed.");
            }
        }
        if (!Files.isRegularFile(to)) {
            throw new IllegalArgumentException(name + " is no file that can be written over.");
        }
        if (!force && Files.size(to) > 0 && !kind.is(start(to))) {
            throw new IllegalArgumentException(name + " is there already and is not " + kind.words + "; it was left as it is. Name another file, or write over it with --force.");
        }
    }

    private static byte[] start(Path file) throws IOException {
        try (var in = Files.newInputStream(file)) {
            return in.readNBytes(1000);
        }
    }
}
