package tundra.app.widget;

import java.io.IOException;
import java.nio.file.Path;

/** Compiles the style sheets into a folder for the start to load; the build runs it. */
public final class StyleCompiler {
    private StyleCompiler() {}

    public static void main(String[] args) throws IOException {
        Look.compileTo(Path.of(args[0]));
    }
}
