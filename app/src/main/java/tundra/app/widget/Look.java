package tundra.app.widget;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import javafx.application.Application;
import javafx.scene.Scene;
import javafx.scene.text.Font;
import tundra.render.Fonts;

/** The style sheets and fonts of every window and popup. */
public final class Look {
    private static final Map<String, List<Integer>> FACES = Map.of("Figtree", List.of(400, 500, 600), "JetBrains Mono", List.of(400, 700));
    private static final Map<Boolean, String> SHEETS = new ConcurrentHashMap<>();
    private static boolean fonts;

    private Look() {}

    /** Dresses a window; the theme itself holds for all windows. */
    public static void dress(Scene scene, boolean dark) {
        if (!fonts) {
            fonts = true;
            FACES.forEach((family, weights) -> weights.forEach(
                    w -> Font.loadFont(new ByteArrayInputStream(Fonts.BUNDLED.file(family, w)), 12)));
        }
        theme(dark);
        scene.getStylesheets().setAll(Look.class.getResource("/tundra/app/tundra.css").toExternalForm());
    }

    /** The base theme with Tundra's roles behind it, as one sheet: popups have no other way to know the colours. */
    public static void theme(boolean dark) {
        Application.setUserAgentStylesheet(sheet(dark));
    }

    /** Puts a theme's sheet together; from any thread, so that it can be done while the toolkit starts. */
    public static String sheet(boolean dark) {
        return SHEETS.computeIfAbsent(dark, Look::combined);
    }

    private static String combined(boolean dark) {
        var base = dark ? new atlantafx.base.theme.PrimerDark() : new atlantafx.base.theme.PrimerLight();
        String css = text(base.getUserAgentStylesheet()) + text(dark ? "/tundra/app/night.css" : "/tundra/app/day.css");
        return "data:text/css;base64," + Base64.getEncoder().encodeToString(css.getBytes(StandardCharsets.UTF_8));
    }

    private static String text(String resource) {
        try (InputStream in = Look.class.getResourceAsStream(resource)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
