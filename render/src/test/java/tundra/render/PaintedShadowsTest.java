package tundra.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayInputStream;
import java.util.List;
import java.util.Objects;
import java.util.function.UnaryOperator;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tundra.core.fit.Frames;
import tundra.core.frame.Moment;
import tundra.core.geometry.Point;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Effect;
import tundra.core.model.EffectKind;
import tundra.core.model.Element;
import tundra.core.model.Event;
import tundra.core.model.Events;
import tundra.core.model.Motif;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Reaction;
import tundra.core.model.Slots;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;
import tundra.core.series.MotifSeries;

/** Long shadows that are published as pictures: the same picture as before, and only where nothing can change what casts them. */
class PaintedShadowsTest {
    private static final int W = 320, H = 240;
    private static Project piece, published;

    private static Effect shadow(String id, double length) {
        return new Effect(id, EffectKind.LONG_SHADOW, true, Values.NONE.with(Properties.LONG_DIRECTION, 40.0).with(Properties.LONG_LENGTH, length)
                .with(Properties.LONG_FADE, 0.7).with(Properties.SHADOW_COLOR, Color.parse("#10203080")));
    }

    private static Element dot(String id, double x, double y, String color) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.SIZE, new Point(50, 40))
                .with(Properties.FILL, Color.parse(color)), new Content.Ellipse());
    }

    /** A group that turns and fades, a star that moves with a blur after its shadow, and words. */
    private static Project piece() {
        Element group = new Element("g", "Group", false, false, Values.NONE.with(Properties.POSITION, new Point(90, 70))
                .with(Properties.PIVOT, new Point(0.5, 0)), new Content.Group(List.of(dot("g1", 30, 30, "#C8503A"), dot("g2", 60, 50, "#1C6A5EA0")),
                new Point(90, 80))).withEffects(List.of(shadow("gs", 90)));
        Element star = new Element("s", "Star", false, false, Values.NONE.with(Properties.POSITION, new Point(220, 60))
                .with(Properties.SIZE, new Point(60, 60)).with(Properties.FILL, Color.parse("#E9A24A")).with(Properties.SCALE, new Point(1.2, 0.9)),
                new Content.Polygon(5, 0.5)).withEffects(List.of(shadow("ss", 60), new Effect("sb", EffectKind.BLUR, true,
                Values.NONE.with(Properties.BLUR, new Point(2, 2)))));
        Element words = new Element("w", "Words", false, false, Values.NONE.with(Properties.POSITION, new Point(150, 180))
                .with(Properties.FILL, Color.parse("#304860")), new Content.Text("Night", "Figtree", 700, 48,
                Content.Align.LEFT, 1.2)).withEffects(List.of(shadow("ws", 40)));
        Project p = Project.empty("P", new Point(W, H), 24);
        return board(p, b -> b.withElements(List.of(group, star, words)).withTimelines(List.of(b.main()
                .with("g", Properties.ROTATION, track(-20.0, 30.0)).with("g", Properties.OPACITY, track(1.0, 0.5))
                .with("s", Properties.POSITION, track(new Point(220, 60), new Point(240, 90))))));
    }

    private static <T> Track<T> track(T a, T b) {
        return new Track<>(List.of(new Key<>(0, a, Easing.LINEAR), new Key<>(1_000_000, b, Easing.LINEAR)));
    }

    private static Project board(Project p, UnaryOperator<Board> change) {
        return p.mapBoard(p.scenes().getFirst().id(), change);
    }

    private static Board board(Project p) {
        return p.scenes().getFirst().board();
    }

    private static Project with(String id, UnaryOperator<Element> change) {
        return board(piece, b -> b.mapElement(id, change));
    }

    private static <T> Project keyed(String owner, Property<T> p, T from, T to) {
        return board(piece, b -> b.withTimelines(List.of(b.main().with(owner, p, track(from, to)))));
    }

    private static boolean painted(Project p, String id) {
        return board(MotifSeries.published(p, new SkiaSeries())).find(id).effects().stream().noneMatch(x -> x.kind() == EffectKind.LONG_SHADOW);
    }

    private static int[] still(Project p, long time) throws Exception {
        byte[] png = Still.png(p, Frames.of(p, board(p), Fonts.BUNDLED).at(Moment.opened(board(p), time)), W, H);
        return ImageIO.read(new ByteArrayInputStream(png)).getRGB(0, 0, W, H, null, 0, W);
    }

    @BeforeAll
    static void publish() {
        piece = piece();
        published = MotifSeries.published(piece, new SkiaSeries());
    }

    @Test
    void thePictureIsTheSameWhileItTurnsFadesAndMoves() throws Exception {
        for (Element e : board(published).elements()) {
            assertThat(e.effects()).noneMatch(x -> x.kind() == EffectKind.LONG_SHADOW);
            assertThat(e.children()).as("its shadow, and itself").hasSize(2);
        }
        assertThat(board(published).find("s").effects()).extracting(Effect::id).containsExactly("sb");
        for (long time : new long[] {0, 300_000, 700_000, 1_000_000}) {
            int[] before = still(piece, time), now = still(published, time);
            double sum = 0;
            for (int i = 0; i < now.length; i++) {
                for (int s = 0; s < 24; s += 8) {
                    double d = (before[i] >> s & 255) - (now[i] >> s & 255);
                    sum += d * d;
                }
            }
            assertThat(10 * Math.log10(255 * 255 / (sum / (3.0 * now.length)))).as("dB at " + time).isGreaterThan(38);
        }
    }

    private static int width(Project p, String shadow) {
        Project out = MotifSeries.published(p, new SkiaSeries());
        var picture = (Content.Picture) out.places().stream().map(x -> x.board().find(shadow)).filter(Objects::nonNull).findFirst().orElseThrow()
                .content();
        return out.assets().get(picture.asset()).width();
    }

    /** Two pixels for each px that is shown at most: in a group that grows, and in a motif that is placed larger. */
    @Test
    void thePictureHasThePixelsOfWhatIsShownLargest() {
        int drawn = width(piece, "g-shadow");
        Element outer = new Element("outer", "Outer", false, false, Values.NONE.with(Properties.SCALE, new Point(0.5, 0.5)),
                new Content.Group(List.of(board(piece).find("g")), new Point(W, H)));
        Project grows = board(piece, b -> b.withElements(List.of(outer)).withTimelines(List.of(b.main().with("outer", Properties.SCALE,
                track(new Point(0.5, 0.5), new Point(1.5, 1.5))))));
        assertThat((double) width(grows, "g-shadow")).isCloseTo(1.5 * drawn, within(4.0));
        var motif = new Motif("m", "M", board(piece).withElements(List.of(board(piece).find("g"))));
        Element large = new Element("i", "I", false, false, Values.NONE.with(Properties.SCALE, new Point(2, 2)),
                new Content.Instance("m", new Point(W, H), Clock.OWN));
        Project placed = board(piece, b -> b.withElements(List.of(large)).withTimelines(List.of(b.main()))).withMotifs(List.of(motif));
        assertThat((double) width(placed, "g-shadow")).isCloseTo(2.0 * drawn, within(4.0));
    }

    @Test
    void whatCastsAChangingShadowKeepsItsEffect() {
        assertThat(painted(piece, "g")).isTrue();
        assertThat(painted(keyed("gs", Properties.LONG_LENGTH, 10.0, 90.0), "g")).as("the shadow grows").isFalse();
        assertThat(painted(keyed("g1", Properties.ROTATION, 0.0, 90.0), "g")).as("something in it moves").isFalse();
        assertThat(painted(keyed("s", Properties.SIZE, new Point(10, 10), new Point(60, 60)), "s")).as("it grows itself").isFalse();
        assertThat(painted(keyed("sb", Properties.BLUR, new Point(0, 0), new Point(6, 6)), "s")).as("what comes after it changes").isTrue();
        assertThat(painted(with("g", e -> e.with(Properties.TIE_X, "right")), "g")).as("it is tied").isFalse();
        assertThat(painted(with("g", e -> e.withHidden(true)), "g")).as("nobody sees it").isFalse();
        Reaction hide = new Reaction("r", new Event(Events.TAPPED, Slots.of(Events.TAPPED.slots(), "g2")),
                List.of(Actions.of(Actions.HIDE, List.of("g1"))));
        assertThat(painted(board(piece, b -> b.withReactions(List.of(hide))), "g")).as("a reaction hides something in it").isFalse();
    }
}
