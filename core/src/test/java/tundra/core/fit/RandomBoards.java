package tundra.core.fit;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import tundra.core.edit.Arrange;
import tundra.core.edit.Resting;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Effect;
import tundra.core.model.EffectKind;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.Layout;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Span;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Boards with layouts, drawn by lot. */
public final class RandomBoards {
    static final List<String> LAYOUTS = List.of("phone", "tablet", "low");
    private final Random random;

    public RandomBoards(Random random) {
        this.random = random;
    }

    private Element element(String id, int depth) {
        Values v = Values.NONE.with(Properties.POSITION, new Point(random.nextInt(300), random.nextInt(200)))
                .with(Properties.SIZE, new Point(20 + random.nextInt(80), 10 + random.nextInt(60)))
                .with(Properties.FILL, new Color(random.nextInt(256), 90, 120, 255)).with(Properties.ROTATION, (double) random.nextInt(90));
        Content c = switch (depth > 0 && random.nextInt(3) == 0 ? 9 : random.nextInt(5)) {
            case 0 -> new Content.Ellipse();
            case 1 -> new Content.Text("Open night", "Figtree", 400, 18 + random.nextInt(20), Content.Align.LEFT, 1.2);
            case 2 -> new Content.Path(Outline.of(true, Node.corner(0, 0), Node.corner(30, 5), Node.corner(10, 30)), new Point(30, 30), false);
            case 9 -> {
                var children = new ArrayList<Element>();
                for (int i = 0; i < 2 + random.nextInt(3); i++) {
                    children.add(element(id + i, depth - 1));
                }
                yield new Content.Group(children, new Point(120, 90), null);
            }
            default -> new Content.Rectangle();
        };
        var e = new Element(id, id, false, false, c instanceof Content.Group ? v.without(Properties.SIZE).without(Properties.FILL)
                : c instanceof Content.Text ? v.without(Properties.SIZE) : v, c);
        return random.nextInt(4) == 0 ? e.withEffects(List.of(new Effect(EffectKind.BLUR).withId(id + "x"))) : e;
    }

    /** A board with three layouts, of which each differs in some things. */
    public Board board() {
        var elements = new ArrayList<Element>();
        for (int i = 0; i < 6; i++) {
            elements.add(element("e" + i, 2));
        }
        var timelines = new ArrayList<Timeline>();
        List<String> ids = List.copyOf(Tree.ids(elements));
        for (int i = 0; i < 3; i++) {
            Timeline t = new Timeline("t" + i, "T" + i, 2_000_000, i == 1, i != 2, Map.of());
            for (int n = 0; n < 5; n++) {
                t = t.with(ids.get(random.nextInt(ids.size())), Properties.POSITION, track()).with(ids.get(random.nextInt(ids.size())),
                        Properties.OPACITY, fade());
            }
            timelines.add(t.withShown(ids.get(random.nextInt(ids.size())), new Span(100_000, 900_000)));
        }
        var reactions = List.of(new Reaction("r0", Events.tapped("e0"), List.of(Actions.of(Actions.PLAY, "t2"))),
                new Reaction("r1", Events.of(Events.OPENED), List.of(Actions.of(Actions.HIDE, List.of("e1")))));
        Board b = new Board(new Point(640, 400), Values.NONE.with(Properties.BACKGROUND, Color.parse("#F3F7FA")), elements, timelines, reactions)
                .withLayouts(List.of(new Layout("phone", "Phone", 0, 560, new Point(360, 640)), new Layout("tablet", "Tablet", 560, 960,
                new Point(768, 900)), new Layout("low", "Low", 1400, 2000, new Point(1600, 300))));
        for (int n = 0; n < 12; n++) {
            String l = LAYOUTS.get(random.nextInt(3));
            b = Lens.put(b, l, changed(Lens.get(b, l)), Lens.Scope.ONLY_HERE);
        }
        return b;
    }

    private Track<Point> track() {
        return new Track<>(List.of(new Key<>(0, new Point(random.nextInt(300), 10), Easing.LINEAR),
                new Key<>(1_500_000, new Point(random.nextInt(300), 150), Easing.LINEAR)));
    }

    private Track<Double> fade() {
        return new Track<>(List.of(new Key<>(200_000, random.nextInt(10) / 10.0, Easing.LINEAR), new Key<>(1_000_000, 1.0, Easing.LINEAR)));
    }

    /** A board with one thing changed that layouts can differ in. */
    Board changed(Board b) {
        List<String> ids = List.copyOf(Tree.ids(b.elements()));
        String id = ids.get(random.nextInt(ids.size()));
        Element e = b.find(id);
        return switch (random.nextInt(9)) {
            case 0 -> b.withRest(id, v -> v.with(Properties.POSITION, new Point(random.nextInt(500), random.nextInt(300))));
            case 1 -> b.withRest(id, v -> v.with(Properties.ROTATION, random.nextInt(360) + 0.5));
            case 2 -> e.content() instanceof Content.Text t
                    ? b.mapElement(id, x -> x.withContent(t.withText("Words " + random.nextInt(1000))))
                    : b.withRest(id, v -> v.with(Properties.OPACITY, random.nextDouble()));
            case 3 -> e.content() instanceof Content.Path ? Resting.with(b, id, Properties.OUTLINE,
                    Outline.of(true, Node.corner(0, 0), Node.corner(random.nextInt(40), 5), Node.corner(10, 30)))
                    : !Properties.SIZE.appliesTo(e) ? b
                    : b.withRest(id, v -> v.with(Properties.SIZE, new Point(10 + random.nextInt(90), 10 + random.nextInt(90))));
            case 4 -> b.mapTimeline("t" + random.nextInt(3), t -> t.with(id, Properties.POSITION, random.nextBoolean() ? track() : null));
            case 5 -> b.mapTimeline("t0", t -> t.withShown(id, random.nextBoolean() ? new Span(random.nextInt(1000), 800_000) : null));
            case 6 -> Arrange.step(b, Set.of(b.elements().get(random.nextInt(b.elements().size())).id()), random.nextBoolean() ? 1 : -2);
            case 7 -> b.mapTimeline("t2", t -> t.withStarts(!t.starts()));
            default -> b.withReactions(random.nextBoolean() ? b.reactions().stream().skip(1).toList()
                    : new ArrayList<>(b.reactions()) {{ add(new Reaction("n" + random.nextInt(100_000), Events.tapped(id),
                    List.of(Actions.of(Actions.PLAY, "t0")))); }});
        };
    }
}
