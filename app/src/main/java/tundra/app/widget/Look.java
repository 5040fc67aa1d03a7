package tundra.app.widget;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import javafx.application.Application;
import javafx.css.Stylesheet;
import javafx.scene.Group;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.layout.Region;
import javafx.scene.text.Font;
import javafx.scene.text.Text;
import tundra.render.Fonts;

/** The style sheets and fonts of every window and popup. */
public final class Look {
    private static final Map<String, List<Integer>> FACES = Map.of("Figtree", List.of(400, 500, 600), "JetBrains Mono", List.of(400));
    private static boolean fonts;
    /** Sheets that were put together in this run, by whether they are dark. */
    private static final Map<Boolean, String> COMBINED = new ConcurrentHashMap<>();

    private Look() {}

    /** Dresses a window; the theme holds for all windows. */
    public static void dress(Scene scene) {
        fonts();
        String own = compiled("tundra");
        scene.getStylesheets().setAll(own != null ? own : Look.class.getResource("/tundra/app/tundra.css").toExternalForm());
    }

    /** Reads the files of the fonts ahead of need; needs no toolkit. */
    public static void readFonts() {
        FACES.forEach((family, weights) -> weights.forEach(w -> Fonts.BUNDLED.file(family, w)));
    }

    /** Sees to the fonts of all windows; from any thread. */
    public static synchronized void fonts() {
        if (!fonts) {
            FACES.forEach((family, weights) -> weights.forEach(
                    w -> Font.loadFont(new ByteArrayInputStream(Fonts.BUNDLED.file(family, w)), 12)));
            // makes ready what all text needs
            new Text("é").getLayoutBounds();
            fonts = true;
        }
    }

    /** A dressed window of a size in px. */
    public static Scene scene(Parent root, double width, double height) {
        var scene = new Scene(new Group(), width, height);
        dress(scene);
        // only now: what is dressed twice takes twice as long, and so does what is laid out at another size first
        if (root instanceof Region r) {
            r.setPrefSize(width, height);
        }
        scene.setRoot(root);
        return scene;
    }

    /** The base theme with Tundra's roles behind it, as one sheet: popups have no other way to know the colours. */
    public static void theme(boolean dark) {
        // setting the same sheet again would style every window anew
        String sheet = COMBINED.computeIfAbsent(dark, Look::combined);
        if (!sheet.equals(Application.getUserAgentStylesheet())) {
            Application.setUserAgentStylesheet(sheet);
        }
    }

    /** The address of a sheet that the build compiled, which loads several times as fast; null when there is none. */
    private static String compiled(String name) {
        String folder = System.getProperty("tundra.styles");
        Path file = folder == null ? null : Path.of(folder, name + ".bss");
        return file != null && Files.exists(file) ? file.toUri().toString() : null;
    }

    /** Compiles the sheets into a folder; part of the build. */
    static void compileTo(Path folder) throws IOException {
        Files.createDirectories(folder);
        var texts = Map.of("day", css(false), "night", css(true), "tundra", text("/tundra/app/tundra.css"));
        for (var e : texts.entrySet()) {
            Path source = folder.resolve(e.getKey() + ".css");
            Files.writeString(source, e.getValue());
            Stylesheet.convertToBinary(source.toFile(), folder.resolve(e.getKey() + ".bss").toFile());
            Files.delete(source);
        }
    }

    private static String combined(boolean dark) {
        String ready = compiled(dark ? "night" : "day");
        return ready != null ? ready
                : "data:text/css;base64," + Base64.getEncoder().encodeToString(css(dark).getBytes(StandardCharsets.UTF_8));
    }

    private static String css(boolean dark) {
        var base = dark ? new atlantafx.base.theme.PrimerDark() : new atlantafx.base.theme.PrimerLight();
        return BaseTheme.trim(text(base.getUserAgentStylesheet())) + text(dark ? "/tundra/app/night.css" : "/tundra/app/day.css");
    }

    private static String text(String resource) {
        try (InputStream in = Look.class.getResourceAsStream(resource)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
