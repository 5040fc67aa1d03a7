package tundra.app.widget;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.List;
import javafx.application.Application;
import javafx.scene.Scene;
import javafx.scene.text.Font;
import tundra.render.Fonts;

/** The style sheets and fonts of every window and popup. */
public final class Look {
    private static boolean fonts;

    private Look() {}

    /** Dresses a window; the theme itself holds for all windows. */
    public static void dress(Scene scene, boolean dark) {
        if (!fonts) {
            fonts = true;
            for (String family : List.of("Figtree", "JetBrains Mono")) {
                for (int weight : Fonts.BUNDLED.weights(family)) {
                    Font.loadFont(new ByteArrayInputStream(Fonts.BUNDLED.file(family, weight)), 12);
                }
            }
        }
        theme(dark);
        scene.getStylesheets().setAll(Look.class.getResource("/tundra/app/tundra.css").toExternalForm());
    }

    /** The base theme with Tundra's roles behind it, as one sheet: popups have no other way to know the colours. */
    public static void theme(boolean dark) {
        var base = dark ? new atlantafx.base.theme.PrimerDark() : new atlantafx.base.theme.PrimerLight();
        String css = text(base.getUserAgentStylesheet()) + text(dark ? "/tundra/app/night.css" : "/tundra/app/day.css");
        Application.setUserAgentStylesheet("data:text/css;base64," + Base64.getEncoder().encodeToString(css.getBytes(StandardCharsets.UTF_8)));
    }

    private static String text(String resource) {
        try (InputStream in = Look.class.getResourceAsStream(resource)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
