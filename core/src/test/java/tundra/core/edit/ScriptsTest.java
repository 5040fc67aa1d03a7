package tundra.core.edit;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tundra.core.file.ProjectFile;
import tundra.core.geometry.Point;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.PieceValue;
import tundra.core.model.Project;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;
import tundra.core.model.Script;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

class ScriptsTest {
    private static final String BEGIN = "<!-- members -->", END = "<!-- /members -->";

    private static Project piece(String body) {
        var lamp = new Element("lamp", "Lamp", false, false, Values.NONE, new Content.Rectangle());
        var board = new Board(new Point(100, 100), Values.NONE, List.of(lamp),
                List.of(new Timeline("main", Timeline.MAIN, 1_000_000, false, true, Map.of())),
                List.of(new Reaction("r", Events.tapped("lamp"), List.of(Actions.of(Actions.RUN, "s")))));
        return new Project("p", "P", 24, List.of(new Scene("a", "Arrival", board)), Map.of(), Map.of())
                .withValues(List.of(new PieceValue("v", "placed", PieceValue.Kind.NUMBER, "0", false)))
                .withScripts(List.of(new Script("s", "celebrate", "export function celebrate(page) {\n" + body + "\n}\n")));
    }

    private static List<String> problems(String body) {
        Project p = piece(body);
        return Scripts.problems(p, p.script("s")).stream().map(Scripts.Problem::text).toList();
    }

    @Test
    void namesAndWordsThatAreNotThereAreToldWithTheNearest() {
        assertThat(problems("page.find(\"Lamp\").show(); page.timeline('Main').playFrom(0); page.set(\"placed\", 1); page.open(\"Arrival\");"))
                .isEmpty();
        assertThat(problems("page.find(\"Lmap\").hide();")).containsExactly("Nothing is called “Lmap”; did you mean “Lamp”?");
        assertThat(problems("page.timline(\"Main\").play();")).containsExactly("The page has no “timline”; did you mean “timeline”?");
        assertThat(problems("page.timeline(\"Main\").playform(0);")).containsExactly("The page has no “playform”; did you mean “playFrom”?");
        assertThat(problems("page.value(\"score\");")).first().asString().startsWith("Nothing is called “score”");
        assertThat(problems("// page.find(\"Nobody\") is only a note\n/* page.nothing() */")).isEmpty();
        Project p = piece("").withScripts(List.of(new Script("s", "celebrate", "export function other(page) {}")));
        assertThat(Scripts.problems(p, p.script("s"))).extracting(Scripts.Problem::text).containsExactly("There is no function celebrate in it.");
        Project q = piece("page.find(\"Lmap\")");
        Scripts.Problem at = Scripts.problems(q, q.script("s")).getFirst();
        assertThat(q.script("s").source().substring(at.from(), at.to())).isEqualTo("\"Lmap\"");
    }

    @Test
    void whatIsRenamedInThePieceIsRenamedInItsScripts() {
        Project p = piece("page.find(\"Lamp\"); page.find('Lamp'); page.say(\"Lamp\"); page.set(\"placed\", page.value('placed'));");
        Project renamed = p.mapBoard("a", b -> Names.rename(b, "lamp", "Big \"light\""));
        assertThat(Scripts.follow(p, renamed).script("s").source())
                .contains("page.find(\"Big \\\"light\\\"\"); page.find(\"Big \\\"light\\\"\"); page.say(\"Lamp\");");
        Project value = PieceValues.map(p, "v", v -> v.withName("landed"));
        assertThat(Scripts.follow(p, value).script("s").source()).contains("page.set(\"landed\", page.value(\"landed\"))");
        assertThat(Scripts.follow(p, p.withName("Other"))).isEqualTo(p.withName("Other"));
        Project r = Scripts.rename(p, "s", "cheer");
        assertThat(r.script("s").name()).isEqualTo("cheer");
        assertThat(r.script("s").source()).startsWith("export function cheer(page)");
        assertThat(Scripts.rename(p, "s", "not a name")).isSameAs(p);
    }

    @Test
    void whatRunsAScriptGoesWithItAndTheFileKeepsBoth() throws Exception {
        Project p = piece("page.say(\"“quoted” </script>\");");
        assertThat(ProjectFile.read(ProjectFile.bytes(p)).scripts()).isEqualTo(p.scripts());
        assertThat(Scripts.delete(p, "s").scenes().getFirst().board().reactions()).isEmpty();
        Project two = Scripts.add(p, "celebrate");
        assertThat(two.scripts()).extracting(Script::name).containsExactly("celebrate", "celebrate2");
        assertThat(Scripts.problems(two, two.scripts().getLast())).isEmpty();
    }

    @Test
    void wordsAreAsFarApartAsTheyAreChanged() {
        assertThat(Scripts.distance("kitten", "sitting")).isEqualTo(3);
        assertThat(Scripts.distance("", "abc")).isEqualTo(3);
        assertThat(Scripts.distance("same", "same")).isZero();
    }

    @Test
    void theDocsOfThePageAreThoseOfTheProgram() throws Exception {
        Path docs = Path.of("../docs/page-api.md");
        String text = Files.readString(docs);
        int from = text.indexOf(BEGIN) + BEGIN.length(), to = text.indexOf(END, from);
        if ("write".equals(System.getProperty("tundra.docs"))) {
            Files.writeString(docs, text.substring(0, from) + ScriptApi.tables() + text.substring(to));
        } else {
            assertThat(text.substring(from, to)).as("run with -Dtundra.docs=write to bring it up to date").isEqualTo(ScriptApi.tables());
        }
    }

    @Test
    void commentsAreLeftOutWhereTheyAreNotWanted() {
        String source = "// credit: the station\nexport function a(page) {\n  const u = \"http://x\"; // why\n  /* two\n  lines */\n  const q = s.replace(/\"\\/\\/[/]/g, '/* no */');\n  return `// ${u}` /* in */ + 4 / 2 / 1;\n}\n";
        assertThat(Scripts.withoutComments(source))
                .isEqualTo("export function a(page) {\n  const u = \"http://x\";\n  const q = s.replace(/\"\\/\\/[/]/g, '/* no */');\n  return `// ${u}`  + 4 / 2 / 1;\n}\n");
        assertThat(Scripts.withoutComments("const a = 1;\n\nconst b = 2;")).isEqualTo("const a = 1;\n\nconst b = 2;");
        Project p = piece("").withScripts(List.of(new Script("s", "a", source)));
        assertThat(p.scripts().getFirst().comments()).isTrue();
        assertThat(Scripts.comments(p, "s", false).scripts().getFirst().comments()).isFalse();
        assertThat(Scripts.rename(Scripts.comments(p, "s", false), "s", "b").scripts().getFirst().comments()).as("a new name keeps it").isFalse();
    }

    /** Nothing that goes through a source goes deeper the longer a string in it is. */
    @Test
    void longStringsEndNothing() {
        String letters = "x\\y".repeat(100_000);
        for (String quote : List.of("\"", "'", "`")) {
            String source = "export function go(page) {\n  page.find(" + quote + letters + quote + "); // said\n}\n";
            Project p = Scripts.source(Scripts.add(Project.empty("P", new Point(10, 10), 24), "go"), null, "");
            Script s = p.scripts().getFirst().withSource(source);
            assertThat(Scripts.withoutComments(source)).isEqualTo(source.replace(" // said", ""));
            assertThat(Scripts.problems(p, s)).hasSize(quote.equals("`") ? 0 : 1);
            Project named = Scripts.source(p, s.id(), source).withValues(List.of(new PieceValue("v", "v", PieceValue.Kind.NUMBER, "0", false)));
            assertThat(Scripts.follow(named, named.withValues(List.of(new PieceValue("v", "w", PieceValue.Kind.NUMBER, "0", false)))).scripts()
                    .getFirst().source()).hasSize(source.length());
        }
        assertThat(Scripts.withoutComments("a = /[" + letters + "]/; // said")).doesNotContain("said");
    }
}
