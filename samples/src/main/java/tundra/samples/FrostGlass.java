package tundra.samples;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tundra.core.edit.Scattering;
import tundra.core.file.ProjectFile;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Effect;
import tundra.core.model.EffectKind;
import tundra.core.model.Element;
import tundra.core.model.Gradient;
import tundra.core.model.Ids;
import tundra.core.model.Motif;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Quad;
import tundra.core.model.Scatter.Channel;
import tundra.core.model.Scatter.Range;
import tundra.core.model.Scene;
import tundra.core.model.Span;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.EasingText;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/**
 * A window pane at night, behind which the aurora wanders and on which frost breathes: one soft spot placed 140 times, cut into rims by hard
 * contrast, in layers. Six seconds that go round without a seam.
 */
public final class FrostGlass {
    private static final long LOOP = 6_000_000, LIFE = 2_250_000;
    private static final Point PANE = new Point(1920, 1080);
    private static final Easing GENTLE = EasingText.parse("sine-both");
    private static final double SPOT = 1280;
    private Timeline main = new Timeline("t-main", Timeline.MAIN, LOOP, true, true, Map.of());

    private FrostGlass() {}

    /** Writes samples/frost-glass.tundra; the argument is where to. */
    public static void main(String[] args) throws Exception {
        ProjectFile.write(project(), Path.of(args[0]));
    }

    public static Project project() {
        return Ids.seeded(11, () -> new FrostGlass().make());
    }

    private Project make() {
        Motif spot = spot();
        var board = new Board(PANE, Values.NONE.with(Properties.BACKGROUND, Art.color("#071428")), List.of(), List.of(main), List.of());
        var p = new Project("frost-glass", "Frost glass", 24, List.of(new Scene("pane", "Pane", board)), Map.of(), Map.of())
                .withMotifs(List.of(spot));
        Motif driver = driver(p);
        Motif low = frost("m-frost-low", "Frost, low", 1.9, false), high = frost("m-frost-high", "Frost, high", 1.45, true);
        List<Element> elements = layers();
        var scene = new Scene("pane", "Pane", board.withElements(elements).withTimelines(List.of(main)));
        // too much for a visitor's machine as what they are, by LiveCost.HEAVY
        return p.withMotifs(List.of(spot, driver.withPictures(true), low.withPictures(true), high.withPictures(true))).withScenes(List.of(scene));
    }

    private static Element at(String id, String name, Content c, double x, double y) {
        return new Element(id, name, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)), c);
    }

    private static <T> Track<T> track(long end, Easing e, List<T> values) {
        var keys = new ArrayList<Key<T>>();
        for (int i = 0; i < values.size(); i++) {
            keys.add(new Key<>(end * i / (values.size() - 1), values.get(i), e));
        }
        return new Track<>(keys);
    }

    private static Element pane(String id, String name, String motif) {
        return at(id, name, new Content.Instance(motif, PANE, Clock.OWN), PANE.x() / 2, PANE.y() / 2);
    }

    private static <T> Effect fx(String id, EffectKind k, Property<T> p, T v) {
        return new Effect(id, k, true, Values.NONE.with(p, v));
    }

    /** It comes and goes in 2.25 of the six seconds. */
    private static Motif spot() {
        Gradient soft = Gradient.radial(List.of(new Gradient.Stop(0, Color.parse("#FFFFFFE0")), new Gradient.Stop(0.45, Color.parse("#FFFFFF70")),
                new Gradient.Stop(1, Color.parse("#FFFFFF00"))));
        Element e = Art.circle("Spot", SPOT / 2, SPOT / 2, SPOT / 2, "#FFFFFF").withId("m-spot-circle").with(Properties.FILL, soft);
        Timeline t = new Timeline("m-spot-main", Timeline.MAIN, LOOP, true, true, Map.of()).with(e.id(), Properties.OPACITY,
                track(LIFE, GENTLE, List.of(0.0, 0.15, 0.0)))
                .withShown(e.id(), new Span(0, LIFE));
        return new Motif("m-spot", "Soft spot", new Board(new Point(SPOT, SPOT), Values.NONE, List.of(e), List.of(t), List.of()));
    }

    /** 140 spots over the pane, at 55 to 110 %, out of step over the whole loop. */
    private static Motif driver(Project p) {
        var b = new Board(PANE, Values.NONE, List.of(at("m-driver-spot", "Spot", new Content.Instance("m-spot", new Point(SPOT, SPOT), Clock.OWN), 0,
                0)),
                List.of(new Timeline("m-driver-main", Timeline.MAIN, LOOP, true, true, Map.of())), List.of());
        var made = Scattering.make(p, b, List.of("m-driver-spot"), 140, PANE.times(0.5), PANE, 11);
        var s = ((Content.Group) made.board().find(made.scatter()).content()).scatter();
        Board scattered = Scattering.change(p, made.board(), made.scatter(), s.with(Channel.SCALE, new Range(0.55, 1.1, 4)));
        return new Motif("m-driver", "Frost field", scattered);
    }

    /** Rims cut out of the spots by very hard contrast; the upper one inverted, so that only a rim is left between the two. */
    private static Motif frost(String id, String name, double brightness, boolean upper) {
        var effects = new ArrayList<Effect>();
        effects.add(fx(id + "-b", EffectKind.BRIGHTNESS, Properties.BRIGHTNESS, brightness));
        effects.add(fx(id + "-c", EffectKind.CONTRAST, Properties.CONTRAST, 10.0));
        if (upper) {
            effects.add(new Effect(id + "-i", EffectKind.CHANNELS, true, Values.NONE.with(Properties.SLOPE, new Quad(-1, -1, -1, 1))
                    .with(Properties.OFFSET, new Quad(1, 1, 1, 0))));
        }
        effects.add(fx(id + "-s", EffectKind.BLUR, Properties.BLUR, new Point(12, 12)));
        var dark = Art.rectangle("Ground", -80, -80, PANE.x() + 160, PANE.y() + 160, 0, "#000000").withId(id + "-ground");
        var group = new Element(id + "-cut", "Cut", false, false, Values.NONE.with(Properties.POSITION, PANE.times(0.5)),
                new Content.Group(List.of(dark, pane(id + "-driver", "Frost field", "m-driver")), PANE))
                .withEffects(effects);
        return new Motif(id, name, new Board(PANE, Values.NONE, List.of(group),
                List.of(new Timeline(id + "-main", Timeline.MAIN, LOOP, true, true, Map.of())), List.of()));
    }

    private List<Element> layers() {
        Gradient night = Gradient.linear(List.of(new Gradient.Stop(0, Color.parse("#0B2A4A")), new Gradient.Stop(1, Color.parse("#071428"))))
                .placed(new Point(0.5, 0), new Point(0.5, 1), new Point(1.5, 0));
        Element sky = Art.rectangle("Night", 0, 0, PANE.x(), PANE.y(), 0, "#071428").with(Properties.FILL, night);
        Element aurora = pane("aurora", "Aurora", "m-driver").with(Properties.BLEND, "screen").with(Properties.OPACITY, 0.8).withEffects(List.of(
                fx("aurora-blur", EffectKind.BLUR, Properties.BLUR, new Point(240, 240)),
                new Effect("aurora-tint", EffectKind.TINT, true, Values.NONE.with(Properties.TINT, Color.parse("#48C9A6"))
                .with(Properties.TINT_AMOUNT, 0.85))));
        Element glow = pane("glow", "Glow", "m-driver").with(Properties.BLEND, "overlay").with(Properties.OPACITY, 0.6)
                .withEffects(List.of(fx("glow-blur", EffectKind.BLUR, Properties.BLUR, new Point(96, 96)),
                new Effect("glow-shift", EffectKind.CHANNELS, true, Values.NONE.with(Properties.OFFSET, new Quad(-0.12, 0.04, 0.16, 0)))));
        Element low = pane("frost-low", "Frost, low", "m-frost-low").with(Properties.BLEND, "screen").with(Properties.OPACITY, 0.22);
        Element high = pane("frost-high", "Frost, high", "m-frost-high").with(Properties.BLEND, "multiply").with(Properties.OPACITY, 0.35);
        main = main.with("glow-shift", Properties.OFFSET, track(LOOP, GENTLE, List.of(new Quad(-0.12, 0.04, 0.16, 0), new Quad(0.02, 0.02, 0.06, 0),
                new Quad(-0.12, 0.04, 0.16, 0))));
        return List.of(sky, aurora, glow, rays(), low, high, lantern());
    }

    /** Wide rays of light, blurred. */
    private Element rays() {
        var rays = new ArrayList<Element>();
        for (int i = 0; i < 4; i++) {
            rays.add(Art.rectangle("Ray " + (i + 1), 200 + 420 * i, -200, 90 + 30 * i, 1500, 0, "#CFEBE2").withId("ray-" + i)
                    .with(Properties.ROTATION, 18.0).with(Properties.OPACITY, 0.10 + 0.03 * (i % 2)));
        }
        var g = new Element("rays", "Moonlight", false, false, Values.NONE.with(Properties.POSITION, PANE.times(0.5))
                .with(Properties.BLEND, "plus-lighter"), new Content.Group(rays, PANE))
                .withEffects(List.of(fx("rays-blur", EffectKind.BLUR, Properties.BLUR, new Point(60, 60))));
        main = main.with("rays", Properties.OPACITY, track(LOOP, GENTLE, List.of(0.5, 1.0, 0.5)));
        return g;
    }

    /** A paper lantern before the pane, which swings and drifts, closed into the loop. */
    private Element lantern() {
        Gradient paper = Gradient.radial(List.of(new Gradient.Stop(0, Color.parse("#FFE9B8")), new Gradient.Stop(0.7, Color.parse("#E9A24A")),
                new Gradient.Stop(1, Color.parse("#B9612A"))));
        Element body = Art.circle("Paper", 130, 260, 120, "#E9A24A").withId("lantern-paper").with(Properties.FILL, paper).withEffects(List.of(
                new Effect("lantern-inner", EffectKind.INNER_SHADOW, true, Values.NONE.with(Properties.SHADOW_OFFSET, new Point(-14, -18))
                .with(Properties.SHADOW_BLUR, 22.0)
                        .with(Properties.SHADOW_COLOR, Color.parse("#5A2410A0")))));
        Element cord = Art.rectangle("Cord", 128, 0, 4, 145, 0, "#2B1B14").withId("lantern-cord");
        Element cap = Art.rectangle("Cap", 95, 134, 70, 16, 5, "#3A241A").withId("lantern-cap"), foot = Art.rectangle("Foot", 100, 372, 60, 14, 5,
                "#3A241A").withId("lantern-foot");
        Element lantern = Art.group("Lantern", new Rect(0, 0, 260, 390), new Point(0.5, 0), List.of(cord, body, cap, foot)).withId("lantern")
                .with(Properties.POSITION, new Point(1380, -30))
                .withEffects(List.of(new Effect("lantern-long", EffectKind.LONG_SHADOW, true, Values.NONE.with(Properties.LONG_DIRECTION, 52.0)
                .with(Properties.LONG_LENGTH, 420.0)
                        .with(Properties.LONG_FADE, 1.0).with(Properties.SHADOW_COLOR, Color.parse("#02060EB0")))));
        main = main.with("lantern", Properties.ROTATION, track(LOOP, GENTLE, List.of(-5.0, 5.0, -5.0)))
                .with("lantern", Properties.POSITION, track(LOOP, GENTLE, List.of(new Point(1380, -30), new Point(1392, -24), new Point(1372, -34),
                new Point(1380, -30))));
        return lantern;
    }
}
