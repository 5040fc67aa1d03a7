package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.scene.control.Tooltip;
import javafx.stage.Window;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import tundra.app.language.Language;
import tundra.app.widget.Translated;
import tundra.app.widget.WholeWords;
import tundra.core.geometry.Point;
import tundra.core.model.Actions;
import tundra.core.model.Conditions;
import tundra.core.model.Events;
import tundra.core.model.SentenceKind;
import tundra.samples.OpenNight;

/** The words of the window in another language: which are missing, and whether there is room for longer ones. */
@Tag("long")
class LanguageTest {
    /** How many of the words that are seen have to be in the bundle, in %; what is missing is printed. */
    private static final int LEAST = 97;
    /** The same of the texts that the sources hold. */
    private static final int LEAST_OF_SOURCES = 99;
    private RealWindow t;

    @BeforeEach
    void inAnotherLanguage() throws Exception {
        Language.use(Language.LONG);
        t = new RealWindow();
        RealWindow.fx(() -> {
            Translated.start();
            return null;
        });
    }

    @AfterEach
    void inEnglish() throws Exception {
        Language.use("en");
        t.close();
    }

    private static List<String> places(String words) {
        var out = new ArrayList<String>();
        Matcher m = Pattern.compile("\\{\\w+\\}").matcher(words);
        while (m.find()) {
            out.add(m.group());
        }
        out.sort(String::compareTo);
        return out;
    }

    @Test
    void theWordsThatAreSeenAreInTheBundle() throws Exception {
        var words = new WindowWords(t);
        words.everything(OpenNight.project());
        Set<String> own = new HashSet<>(WindowWords.own(OpenNight.project()));
        var missing = new ArrayList<String>();
        int all = 0;
        for (String s : words.seen) {
            // numbers with their units, colours, keys, names of fonts
            if (own.contains(s) || s.matches(
                    "[-\\d., ]+( ?(px|%|°|s|fps|KB))?|[0-9A-F]{6}|((Ctrl|Alt|Shift) )+\\S{1,6}|[A-Z]|F\\d+|Figtree|https?:.*")) {
                continue;
            }
            all++;
            if (!s.contains("[") && Language.of(s).equals(s)) {
                missing.add(s);
            }
        }
        words.cut.removeIf(x -> own.stream().anyMatch(o -> x.contains(": " + o + " → ")));
        words.lost.removeIf(x -> own.stream().anyMatch(o -> x.contains(": " + o + " → ")));
        System.out.println("language: lost: " + String.join("\n", words.lost));
        System.out.println("language: " + words.cut.size() + " words are cut: " + String.join("\n", words.cut));
        System.out.println("language: " + (all - missing.size()) + " of " + all + " words that are seen are in the bundle; missing: "
                + missing.stream().map(x -> x.replace("\n", "\\n")).limit(200).toList());
        // forty in a hundred longer, buttons still have room, and other words nearly always; what hasn't is read by pointing at it
        assertThat(words.lost).as("words of buttons without room").hasSizeLessThan(6);
        assertThat(words.cut).as("words without room").hasSizeLessThan(all * 2 / 100);
        assertThat(all).isGreaterThan(600);
        assertThat(missing.size()).as("words without a translation, of %d", all).isLessThan(all * (100 - LEAST) / 100);
    }

    @Test
    void wordsThatAreCutAreReadWholeByPointingAtThem() throws Exception {
        String whole = RealWindow.fx(() -> WholeWords.whole(t.stage.getScene().lookup("#tool-note")));
        assertThat(whole).as("the hint of a tool, much longer").isNotNull();
        t.moveTo(t.middle("tool-note"));
        t.until(() -> Window.getWindows().stream().anyMatch(w -> w instanceof Tooltip tip && tip.isShowing() && tip.getText().equals(whole)));
        Point canvas = t.canvas(20, 20);
        t.moveTo(canvas);
        t.until(() -> Window.getWindows().stream().noneMatch(w -> w instanceof Tooltip tip && tip.isShowing()));
    }

    /** Also what hardly ever is said: errors, findings, what a step is called. */
    @Test
    void whatTheSourcesSayIsInTheBundle() throws Exception {
        Language.use("de");
        Map<String, String> said = SourceWords.of(List.of(Path.of("../core/src/main/java"), Path.of("../render/src/main/java"),
                Path.of("src/main/java")));
        var missing = new ArrayList<String>();
        int all = 0;
        for (var e : said.entrySet()) {
            String words = e.getKey();
            // single words may be ids, and what has marks in it styles and patterns
            if (!words.strip().contains(" ") || words.matches("(?s).*([<>=;#\\\\_]|-fx|--|/\\*|\\w\\(|\\.\\w).*") || !words.replaceAll("\\{\\d}", "")
                    .matches("(?s).*[a-z]{2}.*[a-z]{2}.*")) {
                continue;
            }
            all++;
            String with = words.replaceAll("\\{\\d}", "Sled");
            if (Language.of(with).equals(with)) {
                missing.add(words + " (" + e.getValue() + ")");
            }
        }
        System.out.println("language: " + (all - missing.size()) + " of " + all + " texts in the sources are in the bundle; missing: "
                + missing.stream().map(x -> x.replace("\n", "\\n")).limit(80).toList());
        assertThat(all).isGreaterThan(800);
        assertThat(missing.size()).as("texts without a translation, of %d", all).isLessThan(all * (100 - LEAST_OF_SOURCES) / 100);
    }

    @Test
    void sentencesOfReactionsAreInTheBundleWithTheirOwnOrder() {
        Map<String, String> german = Language.read("de");
        var kinds = new ArrayList<SentenceKind>(Events.ALL);
        kinds.addAll(Conditions.ALL);
        kinds.addAll(Actions.ALL);
        assertThat(kinds).hasSizeGreaterThan(80);
        // one that is nothing but slots has no words
        kinds.removeIf(k -> k.parts().stream().allMatch(p -> p.slot() != null));
        assertThat(kinds.stream().map(SentenceKind::sentence).filter(x -> !german.containsKey(x)).toList()).as("not in the bundle").isEmpty();
        for (SentenceKind k : kinds) {
            assertThat(k.parts(german.get(k.sentence()))).as(k.sentence()).anyMatch(p -> p.slot() == null && !p.words().matches("Wenn|Während"))
                    .extracting(SentenceKind.Part::slot).containsAll(k.slots());
        }
        Language.use("de");
        assertThat(Language.of("When Sled is tapped twice")).as("also where it is told as a whole").isEqualTo("Wenn Sled zweimal angetippt wird");
        assertThat(Language.of("“Storm.png” isn't there. Nothing was changed")).isEqualTo("„Storm.png“ gibt es nicht. Nichts wurde geändert");
    }

    @Test
    void eachLineSaysAsMuchAsItsEnglishOne() {
        Map<String, String> german = Language.read("de");
        assertThat(german).hasSizeGreaterThan(800);
        german.forEach((english, other) -> assertThat(places(other)).as(english).isEqualTo(places(english)));
        Language.use("de");
        assertThat(Language.of("Save")).isEqualTo("Speichern");
        assertThat(Language.of("Key Opacity here")).isEqualTo("Hier Schlüssel für Deckkraft setzen");
        assertThat(Language.of("play")).isEqualTo("spiele");
        assertThat(Language.of("Hide Sled")).as("a name stays").isEqualTo("Sled ausblenden");
        assertThat(Language.of("something that nobody wrote down")).isEqualTo("something that nobody wrote down");
        Language.use("nonsense");
        assertThat(Language.of("Save")).isEqualTo("Save");
    }
}
