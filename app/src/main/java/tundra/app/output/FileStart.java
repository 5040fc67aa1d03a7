package tundra.app.output;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import tundra.core.file.FileProblem;

/** What files start with, by which it is seen whether one is of the kind that its name says. */
public enum FileStart {
    PNG("a PNG picture"), SVG("an SVG drawing"), MP4("an MP4 film"), WEBM("a WebM film"), GIF("a GIF picture"), WEBP("a WebP picture"),
            AVIF("an AVIF picture"), PDF("a PDF"), HTML("a web page"), ZIP("a ZIP"), JSON("the JSON of a piece"), TUNDRA("a project");

    private static final int LOOKED_AT = 1000;
    private final String words;

    FileStart(String words) {
        this.words = words;
    }

    /** Of a file's ending. */
    public static FileStart of(String ending) {
        return valueOf(ending.toUpperCase(Locale.ROOT));
    }

    public String words() {
        return words;
    }

    private boolean is(byte[] start) {
        String text = new String(start, StandardCharsets.ISO_8859_1);
        return switch (this) {
            case PNG -> text.startsWith("\u0089PNG");
            case SVG -> text.contains("<svg");
            case MP4 -> text.startsWith("ftyp", 4) && !text.startsWith("avi", 8);
            case AVIF -> text.startsWith("ftypavi", 4);
            case WEBM -> text.startsWith("\u001aE\u00df\u00a3");
            case GIF -> text.startsWith("GIF8");
            case WEBP -> text.startsWith("RIFF") && text.startsWith("WEBP", 8);
            case PDF -> text.startsWith("%PDF");
            case HTML -> text.contains("content=\"Tundra\"");
            case ZIP -> text.startsWith("PK");
            case TUNDRA -> text.startsWith("PK") && text.contains("mimetype");
            case JSON -> text.contains("\"tundraTimelines\"");
        };
    }

    /** Throws with one sentence where something else is there already. */
    public static void allow(Path to, String ending, boolean force) throws IOException {
        if (!Files.exists(to) || force) {
            return;
        }
        String name = "“" + to.getFileName() + "”";
        if (!Files.isRegularFile(to)) {
            throw new FileProblem(name + " is no file that can be written over.");
        }
        FileStart kind = of(ending);
        try (var in = Files.newInputStream(to)) {
            byte[] start = in.readNBytes(LOOKED_AT);
            if (start.length > 0 && !kind.is(start)) {
                throw new FileProblem(name + " is there already and is not " + kind.words + "; it was left as it is. Choose another name.");
            }
        }
    }
}
