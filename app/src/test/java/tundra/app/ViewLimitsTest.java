package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javafx.scene.image.PixelReader;
import javafx.scene.web.WebView;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tundra.core.fit.Frames;
import tundra.core.frame.Moment;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Effect;
import tundra.core.model.EffectKind;
import tundra.core.model.Element;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Quad;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.render.Fonts;
import tundra.render.Still;
import tundra.web.ViewLimits;

/** What Try it says that its view doesn't show is what that view really doesn't show. */
class ViewLimitsTest extends InWindow {
    @TempDir
    private Path folder;
    private final List<Element> elements = new ArrayList<>();

    private void box(String name, Values v, Effect... effects) {
        elements.add(new Element(name, name, false, false, v.with(Properties.POSITION, new Point(60 + 100 * elements.size(), 60))
                .with(Properties.SIZE, new Point(80, 80))
                .with(Properties.FILL, Color.parse("#4080C0")), new Content.Rectangle()).withEffects(List.of(effects)));
    }

    private Project piece() {
        box("Plain", Values.NONE);
        box("Dim", Values.NONE, new Effect(EffectKind.BRIGHTNESS).with(Properties.BRIGHTNESS, 0.5));
        box("Turned", Values.NONE, new Effect(EffectKind.HUE).with(Properties.HUE, 90.0), new Effect(EffectKind.INVERT).with(Properties.INVERT, 0.8));
        box("Shifted", Values.NONE, new Effect(EffectKind.CHANNELS).with(Properties.SLOPE, new Quad(0.5, 1, 1, 1))
                .with(Properties.OFFSET, new Quad(0.4, 0, 0, 0)));
        box("Mixed", Values.NONE.with(Properties.BLEND, "multiply"));
        var board = new Board(new Point(640, 120), Values.NONE.with(Properties.BACKGROUND, Color.parse("#C09060")), elements,
                List.of(new Timeline("main", Timeline.MAIN, 1_000_000, false, true, Map.of())), List.of());
        Project p = Project.empty("Limits", new Point(640, 120), 24);
        return p.mapBoard(p.scenes().getFirst().id(), b -> board);
    }

    @Test
    void itNamesWhatTheViewPaintsOtherwise() throws Exception {
        Project p = piece();
        WebView view = PageInView.open(t, p, folder);
        Board b = p.scenes().getFirst().board();
        var still = ImageIO.read(new ByteArrayInputStream(Still.png(p, Frames.of(p, b, Fonts.BUNDLED).at(Moment.opened(b, 0)))));
        t.until(() -> far(view.snapshot(null, null).getPixelReader().getArgb(60, 60), 0xFF4080C0) < 3);
        var other = new ArrayList<String>();
        PixelReader seen = RealWindow.fx(() -> view.snapshot(null, null).getPixelReader());
        for (int i = 0; i < elements.size(); i++) {
            if (far(seen.getArgb(60 + 100 * i, 60), still.getRGB(60 + 100 * i, 60)) > 4) {
                other.add(elements.get(i).name());
            }
        }
        assertThat(other).containsExactly("Mixed");
        assertThat(ViewLimits.of(p)).isEqualTo("This view can't show the blend modes of Mixed; browsers do.");
    }

    @Test
    void aPieceWithoutSuchThingsIsShownWhole() {
        box("Dim", Values.NONE, new Effect(EffectKind.BRIGHTNESS), new Effect(EffectKind.BLUR));
        Project p = Project.empty("Limits", new Point(640, 120), 24);
        assertThat(ViewLimits.of(p.mapBoard(p.scenes().getFirst().id(), b -> b.withElements(elements)))).isNull();
    }

    private static int far(int a, int b) {
        int most = 0;
        for (int shift = 0; shift < 24; shift += 8) {
            most = Math.max(most, Math.abs((a >> shift & 255) - (b >> shift & 255)));
        }
        return most;
    }
}
