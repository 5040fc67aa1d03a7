package tundra.core.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.model.Actions;
import tundra.core.model.Asset;
import tundra.core.model.AssetData;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Dragging;
import tundra.core.model.Drawing;
import tundra.core.model.Effect;
import tundra.core.model.EffectKind;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.Flipbook;
import tundra.core.model.Gradient;
import tundra.core.model.Ids;
import tundra.core.model.KeptEasing;
import tundra.core.model.Marker;
import tundra.core.model.Motif;
import tundra.core.model.PageSettings;
import tundra.core.model.Paint;
import tundra.core.model.PieceValue;
import tundra.core.model.PlacedSound;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Reaction;
import tundra.core.model.RulerLine;
import tundra.core.model.Scene;
import tundra.core.model.Script;
import tundra.core.model.Span;
import tundra.core.model.States;
import tundra.core.model.Swatch;
import tundra.core.model.Timeline;
import tundra.core.model.ValueType;
import tundra.core.model.Values;
import tundra.core.motion.EasingText;
import tundra.core.motion.Key;
import tundra.core.motion.NamedEasing;
import tundra.core.motion.PartEasing;
import tundra.core.motion.PathShape;
import tundra.core.motion.Track;

class ProjectFileTest {
    @TempDir
    private Path folder;

    /** A project with some of everything, different for each seed. */
    static Project random(long seed) {
        var r = new Random(seed);
        Asset a = Asset.picture("dot.png", "image/png", 3, 2, ("picture " + seed).getBytes(StandardCharsets.UTF_8));
        var elements = new ArrayList<Element>();
        for (int i = 0; i < 6; i++) {
            elements.add(element(r, a, 2));
        }
        Timeline t = new Timeline(Ids.next(), "Main", 3_000_000, r.nextBoolean(), r.nextBoolean(), Map.of());
        for (Element e : elements) {
            for (Property<?> p : Properties.ALL.stream().filter(x -> x.appliesTo(e) && Properties.keyed(x)).toList()) {
                if (r.nextBoolean()) {
                    t = keyed(t, e.id(), p, r);
                }
            }
        }
        t = keyed(t, Board.CANVAS, Properties.BACKGROUND, r);
        Asset wind = Asset.sound("wind.wav", "audio/wav", 900_000, ("sound " + seed).getBytes(StandardCharsets.UTF_8));
        t = t.withShown(elements.get(0).id(), new Span(10, 1_000_000)).withMarkers(List.of(new Marker(Ids.next(), "Läuft", 400_000)))
                .withRange(new Span(0, 2_000_000))
                .withSounds(List.of(new PlacedSound(Ids.next(), wind.hash(), 250_000, 0.5, 1000, 20_000, 30_000, 400_000, seed % 2 == 0)));
        var reactions = List.of(new Reaction(Ids.next(), Events.tapped(elements.get(0).id()),
                List.of(Actions.of(Actions.GO_TO, t.id(), 500_000L), Actions.of(Actions.TOGGLE, t.id()))));
        var board = new Board(new Point(300, 200.5), Values.NONE.with(Properties.BACKGROUND, color(r)), elements, List.of(t), reactions,
                List.of(new RulerLine(true, 12.5), new RulerLine(false, -3)));
        return new Project(Ids.next(), "Pröbe “" + seed + "” </script>", 24, List.of(new Scene(Ids.next(), "One", board)),
                Map.of(a.hash(), a, wind.hash(), wind),
                List.of(new Swatch("Näve", color(r))),
                List.of(new KeptEasing("Mein «weicher»", new PartEasing(EasingText.parse("bounce-out"), 0.25, 0.75))), Map.of());
    }

    private static Color color(Random r) {
        return new Color(r.nextInt(256), r.nextInt(256), r.nextInt(256), r.nextInt(256));
    }

    private static Element element(Random r, Asset a, int depth) {
        Content c = switch (r.nextInt(depth > 0 ? 8 : 6)) {
            case 0 -> new Content.Rectangle();
            case 1 -> new Content.Ellipse();
            case 2 -> new Content.Path(
                    new Outline(List.of(new Contour(List.of(Node.corner(0, r.nextDouble()), Node.smooth(new Point(5, 5), new Point(1, 2))),
                    r.nextBoolean()))), new Point(5, 5), r.nextBoolean());
            case 3 -> new Content.Text("Line\nänother", "Lora", 700, 12.5, Content.Align.RIGHT, 1.2)
                    .withWrap(r.nextInt(200));
            case 4 -> new Content.Picture(a.hash());
            case 5 -> new Content.Polygon(3 + r.nextInt(9), r.nextDouble());
            case 6 -> new Flipbook(List.of(new Drawing(art(r, a, depth), r.nextInt(9), 1 + r.nextInt(5)),
                    new Drawing(art(r, a, depth), 20, 1 + r.nextInt(90))),
                    new Point(30, 20.5), 1 + r.nextInt(240), Flipbook.Ending.values()[r.nextInt(3)]);
            default -> new Content.Group(List.of(element(r, a, depth - 1), element(r, a, depth - 1)), new Point(10, 20),
                    r.nextBoolean() ? Outline.polygon(0, 0, 10, 0, 5, 20) : null);
        };
        Values v = Values.NONE;
        for (Property<?> p : Properties.of(new Element("x", c, v))) {
            if (r.nextBoolean()) {
                v = with(v, p, r);
            }
        }
        var e = new Element(Ids.next(), "e" + r.nextInt(), r.nextBoolean(), r.nextBoolean(), r.nextBoolean(), v, c);
        return r.nextInt(3) > 0 ? e : e.withEffects(List.of(effect(r), effect(r)));
    }

    private static Effect effect(Random r) {
        var x = new Effect(EffectKind.values()[r.nextInt(EffectKind.values().length)]).withOn(r.nextBoolean());
        Values v = Values.NONE;
        for (Property<?> p : x.kind().properties()) {
            v = r.nextBoolean() ? with(v, p, r) : v;
        }
        return x.withRest(v);
    }

    private static Element art(Random r, Asset a, int depth) {
        return Flipbook.blank("Zeichnung " + r.nextInt(), new Point(30, 20.5)).withChildren(List.of(element(r, a, depth - 1)));
    }

    private static <T> Values with(Values v, Property<T> p, Random r) {
        return v.with(p, value(p, r));
    }

    private static <T> T value(Property<T> p, Random r) {
        if (p == Properties.OUTLINE) {
            return p.cast(Outline.polygon(0, 0, r.nextInt(50), 0, 5, r.nextInt(20)));
        }
        if (p.type() instanceof ValueType.PaintType && r.nextBoolean()) {
            var stops = List.of(new Gradient.Stop(r.nextDouble(), color(r)), new Gradient.Stop(1, color(r)));
            return p.cast(new Gradient(Gradient.Kind.values()[r.nextInt(2)], new Point(r.nextDouble(), 0), new Point(1, r.nextDouble()),
                    new Point(0, 1),
                    new Point(r.nextDouble() / 2, 0), Gradient.Spread.values()[r.nextInt(3)], stops));
        }
        return p.standard() instanceof Paint ? p.cast(color(r)) : p.clamped(p.type().of(r.doubles(p.parts().size(), -500, 500).toArray()));
    }

    private static <T> Timeline keyed(Timeline t, String id, Property<T> p, Random r) {
        var keys = new ArrayList<Key<T>>();
        for (long at = r.nextInt(1000); at < 3_000_000; at += 700_000 + r.nextInt(90_000)) {
            var easing = NamedEasing.ALL.get(r.nextInt(NamedEasing.ALL.size())).easing();
            boolean bent = p == Properties.POSITION && r.nextBoolean();
            keys.add(bent ? new Key<>(at, value(p, r), easing, new Point(1, -2), new Point(r.nextDouble(), 4)) : new Key<>(at, value(p, r), easing));
        }
        var shape = p != Properties.POSITION ? PathShape.PLAIN
                : new PathShape(r.nextInt(3) / 2.0, r.nextBoolean(), r.nextBoolean() ? NamedEasing.ALL.get(r.nextInt(5)).easing() : null);
        return t.with(id, p, new Track<>(keys, shape));
    }

    @Test
    void whatIsWrittenReadsBackTheSame() throws Exception {
        for (long seed = 0; seed < 40; seed++) {
            Project p = random(seed);
            Path file = folder.resolve(seed + ".tundra");
            ProjectFile.write(p, file);
            assertThat(ProjectFile.read(file)).isEqualTo(p);
        }
    }

    @Test
    void theSameProjectGivesTheSameBytes() throws Exception {
        assertThat(ProjectFile.bytes(random(3))).hasSizeGreaterThan(500);
        Project p = random(4);
        assertThat(ProjectFile.bytes(p)).isEqualTo(ProjectFile.bytes(ProjectFile.read(ProjectFile.bytes(p))));
    }

    @Test
    void theJsonFollowsTheDocumentedSchema() throws Exception {
        var schema = SchemaCheck.schema();
        for (long seed = 0; seed < 20; seed++) {
            var problems = schema.validate(ProjectWriter.write(random(seed)), com.networknt.schema.InputFormat.JSON);
            assertThat(problems).as("seed " + seed).isEmpty();
        }
        // the schema can tell: a wrong type and a missing field are found
        assertThat(schema.validate(ProjectWriter.write(random(1)).replace("\"frameRate\" : 24", "\"frameRate\" : \"fast\""),
                com.networknt.schema.InputFormat.JSON)).isNotEmpty();
        assertThat(schema.validate("{\"tundra\":2}", com.networknt.schema.InputFormat.JSON)).isNotEmpty();
    }

    @Test
    void unknownFieldsSurviveARoundTrip() throws Exception {
        // one that holds everything that is added to, a flipbook among it
        Project p = LongStream.iterate(0, i -> i + 1).mapToObj(ProjectFileTest::random).filter(x -> ProjectWriter.write(x).contains("\"frames\" :")
                && ProjectWriter.write(x).contains("\"easing\"")).findFirst().orElseThrow();
        String json = ProjectWriter.write(p)
                .replaceFirst("\"frameRate\"", "\"weather\" : {\"wind\": [1, 2]},\n\"frameRate\"")
                .replaceFirst("\"type\"", "\"glow\" : \"soft\",\n\"type\"")
                .replaceFirst("\"easing\"", "\"note\" : 5,\n\"easing\"")
                .replaceFirst("\"loop\" :", "\"mood\" : null,\n\"loop\" :")
                .replaceFirst("\"frames\" :", "\"voice\" : \"ah\",\n\"frames\" :")
                .replaceFirst("\"rest\" : \\{", "\"rest\" : {\"halo\" : 3.5,")
                .replace("\"rest\" : {\"halo\" : 3.5, }", "\"rest\" : {\"halo\" : 3.5 }");
        Map<String, AssetData> data = p.assets().values().stream().collect(Collectors.toMap(Asset::hash, Asset::source));
        Project read = ProjectReader.read(json.getBytes(StandardCharsets.UTF_8), data, Parts.strict());
        String again = ProjectWriter.write(ProjectReader.read(ProjectWriter.write(read.withName("changed")).getBytes(StandardCharsets.UTF_8), data,
                Parts.strict()));
        assertThat(again).contains("\"weather\"", "\"wind\"", "\"glow\" : \"soft\"", "\"note\" : 5", "\"mood\" : null", "\"halo\" : 3.5",
                "\"voice\" : \"ah\"", "changed");
    }

    /** What a newer version wrote into objects of these kinds is written again. */
    @Test
    void unknownFieldsOfEveryKindOfObjectSurvive() throws Exception {
        var box = new Element("box", "Box", false, false, false, Values.NONE, new Content.Rectangle(),
                List.of(new Effect("fx", EffectKind.BLUR, true, Values.NONE)));
        var timeline = new Timeline("main", Timeline.MAIN, 1_000_000, false, true, Map.of());
        var board = new Board(new Point(10, 10), Values.NONE, List.of(box), List.of(timeline),
                List.of(new Reaction("r", Events.tapped("box"), List.of(Actions.of(Actions.PLAY, "main")))))
                .withDrags(List.of(Dragging.of("d", List.of(new Dragging.Pair("box", List.of())))));
        var inner = new Board(new Point(10, 10), Values.NONE, List.of(),
                List.of(new Timeline("m-main", Timeline.MAIN, 1_000_000, false, true, Map.of())), List.of());
        Project p = new Project("p", "P", 24, List.of(new Scene("s", "S", board)), Map.of(), Map.of())
                .withValues(List.of(new PieceValue("v", "v", PieceValue.Kind.TEXT, "", false)))
                .withScripts(List.of(new Script("x", "run", "", true)))
                .withMotifs(List.of(new Motif("m", "M", inner, new States(Map.of(), 1000).with(States.State.REST, 0L), false)));
        var root = (tools.jackson.databind.node.ObjectNode) Json.MAPPER.readTree(ProjectWriter.write(p));
        var places = List.of("", "/scenes/0", "/scenes/0/canvas", "/scenes/0/elements/0", "/scenes/0/elements/0/rest",
                "/scenes/0/elements/0/effects/0", "/scenes/0/timelines/0", "/scenes/0/reactions/0", "/scenes/0/drags/0",
                "/values/0", "/scripts/0", "/motifs/0", "/motifs/0/states");
        for (String at : places) {
            ((tools.jackson.databind.node.ObjectNode) root.at(at)).put("later", at);
        }
        Project read = ProjectReader.read(root.toString().getBytes(StandardCharsets.UTF_8), Map.of(), Parts.strict());
        var again = Json.MAPPER.readTree(ProjectWriter.write(read.withName("changed")));
        for (String at : places) {
            assertThat(again.at(at).path("later").asString("lost")).as("of " + at).isEqualTo(at);
        }
    }

    @Test
    void theVersionBeforeIsKept() throws Exception {
        Path file = folder.resolve("a.tundra");
        Project first = random(1), second = random(2);
        ProjectFile.write(first, file);
        ProjectFile.write(second, file);
        assertThat(ProjectFile.read(file)).isEqualTo(second);
        assertThat(ProjectFile.read(folder.resolve("a.tundra.previous"))).isEqualTo(first);
        try (var all = Files.list(folder)) {
            assertThat(all).as("no temporary file is left").hasSize(2);
        }
    }

    @Test
    void aFailedSaveLeavesTheOldFileAndSaysWhatToDo() throws Exception {
        Path file = folder.resolve("nowhere/a.tundra");
        assertThatThrownBy(() -> ProjectFile.write(random(1), file)).isInstanceOf(FileProblem.class)
                .hasMessageContaining("the folder is not there").hasMessageContaining("save it to another folder");
        Path old = folder.resolve("b.tundra");
        ProjectFile.write(random(1), old);
        // a folder stands where the old version should be kept: it is saved all the same
        Files.createDirectories(folder.resolve("b.tundra.previous/full"));
        Project after = random(2);
        ProjectFile.write(after, old);
        assertThat(ProjectFile.read(old)).isEqualTo(after);
        try (var all = Files.list(folder)) {
            assertThat(all.map(p -> p.getFileName().toString())).noneMatch(n -> n.endsWith(".saving"));
        }
    }

    @Test
    void howThePageStandsIsKept() throws Exception {
        Project p = Project.empty("P", new Point(100, 50), 24).withPage(new PageSettings(PageSettings.Fit.WHOLE, "pt-BR"));
        assertThat(ProjectFile.read(ProjectFile.bytes(p)).page()).isEqualTo(p.page());
        assertThat(ProjectFile.read(ProjectFile.bytes(p.withPage(PageSettings.USUAL))).page()).isEqualTo(PageSettings.USUAL);
        assertThat(new PageSettings(PageSettings.Fit.WHOLE, "\"><script>").language()).isEqualTo("en");
    }
}
