package tundra.core.file;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeSet;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.model.Actions;
import tundra.core.model.BlockKind;
import tundra.core.model.Blocks;
import tundra.core.model.Conditions;
import tundra.core.model.Content;
import tundra.core.model.EffectKind;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.OutputKind;
import tundra.core.model.Outputs;
import tundra.core.model.PageSettings;
import tundra.core.model.Paint;
import tundra.core.model.PieceValue;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.SentenceKind;
import tundra.core.model.Slot;
import tundra.core.model.ValueType;
import tundra.core.model.Values;

/**
 * What is documented of the file follows the tables of properties, events and actions; -Dtundra.docs=write brings the tables of docs/file-format.md
 * up to date.
 */
class DocsTest {
    private static final Path FORMAT = Path.of("../docs/file-format.md"), SCHEMA = Path.of("../docs/tundra-2.schema.json");
    private static final String BEGIN = "<!-- made from the tables of properties, events and actions: begin -->\n", END = "<!-- end -->\n";

    private static String tables() {
        var s = new StringBuilder("\n| property | what it is | of | range |\n|---|---|---|---|\n");
        for (Property<?> p : Properties.ALL) {
            s.append("| `").append(p.key()).append("` | ").append(p.label()).append(p.unit().isEmpty() ? "" : ", in "
                    + (p.shown() == 1 ? p.unit() : "parts of 1"))
                    .append(Properties.keysOnly(p) ? "; only as keys" : "").append(" | ").append(of(p)).append(" | ").append(range(p)).append(" |\n");
        }
        s.append("\n| event | sentence | slots |\n|---|---|---|\n");
        Events.ALL.forEach(k -> s.append(row(k)));
        s.append("\n| condition | sentence | slots |\n|---|---|---|\n");
        Conditions.ALL.forEach(k -> s.append(row(k)));
        s.append("\n| action | sentence | slots |\n|---|---|---|\n");
        Actions.ALL.forEach(k -> s.append(row(k)));
        s.append("\n| block | what it is | settings |\n|---|---|---|\n");
        Blocks.ALL.forEach(k -> s.append("| `").append(k.key()).append("` | ").append(k.hint()).append(" | ")
                .append(k.settings().stream().map(x -> "`" + x.slot().key() + "` (" + x.label() + (x.unit().isEmpty() ? "" : ", " + x.unit()) + ")")
                .collect(Collectors.joining(", "))).append(" |\n"));
        s.append("\n| output | what it is | settings |\n|---|---|---|\n");
        Outputs.ALL.forEach(k -> s.append("| `").append(k.key()).append("` | ").append(k.hint()).append(" | ")
                .append(k.settings().stream().map(x -> "`" + x.slot().key() + "` (" + x.label()
                + (x.unit().isEmpty() ? "" : ", " + x.unit()) + (x.slot().type() == Slot.Type.CHOICE ? ": " + String.join(", ", x.slot().choices())
                : "") + ")").collect(Collectors.joining(", "))).append(" |\n"));
        return s.append('\n').toString();
    }

    private static String row(SentenceKind k) {
        return "| `" + k.key() + "` | " + k.sentence().replaceAll("\\{\\w+}", "…").strip() + " | " + k.slots().stream()
                .map(x -> "`" + x.key() + "` (" + x.type().name().toLowerCase(Locale.ROOT) + ")").collect(Collectors.joining(", ")) + " |\n";
    }

    private static String of(Property<?> p) {
        var contents = Map.<String, Content>of("rectangles", new Content.Rectangle(), "ellipses", new Content.Ellipse(), "paths",
                new Content.Path(new Outline(List.of()), Point.ZERO),
                "texts", new Content.Text("", "Figtree", 400, 10, Content.Align.LEFT, 1), "pictures", new Content.Picture("x"), "groups",
                new Content.Group(List.of(), Point.ZERO, null));
        var out = new TreeSet<String>();
        contents.forEach((name, c) -> {
            if (p.appliesTo(new Element("x", c, Values.NONE))) {
                out.add(name);
            }
        });
        var effects = EffectKind.values();
        String of = Arrays.stream(effects).filter(k -> k.properties().contains(p)).map(k -> "`" + k.key() + "`").collect(Collectors.joining(", "));
        return !of.isEmpty() ? "effect " + of : out.isEmpty() ? "the canvas" : out.size() == contents.size() ? "all" : String.join(", ", out);
    }

    private static boolean ofEffect(Property<?> p) {
        return Arrays.stream(EffectKind.values()).anyMatch(k -> k.properties().contains(p));
    }

    private static String range(Property<?> p) {
        return p.type() instanceof ValueType.ChoiceType c ? String.join(", ", c.options())
                : p.unit().isEmpty() ? "" : Numbers.plain(p.min(), 3) + " to " + Numbers.plain(p.max(), 3);
    }

    @Test
    void theTablesOfTheFormatAreThoseOfTheProgram() throws Exception {
        String text = Files.readString(FORMAT);
        int from = text.indexOf(BEGIN) + BEGIN.length(), to = text.indexOf(END, from);
        assertThat(to).as("the marks around the tables").isGreaterThanOrEqualTo(from);
        if ("write".equals(System.getProperty("tundra.docs"))) {
            Files.writeString(FORMAT, text.substring(0, from) + tables() + text.substring(to));
        } else {
            assertThat(text.substring(from, to)).as("run with -Dtundra.docs=write to bring it up to date").isEqualTo(tables());
        }
    }

    /** What the schema says of the properties that some owner rests with, from the table. */
    private static String restSchema(Predicate<Property<?>> of, String indent) {
        return Properties.ALL.stream().filter(of).map(p -> indent + "\"" + p.key() + "\": " + schema(p)).collect(Collectors.joining(",\n"));
    }

    private static String schema(Property<?> p) {
        String range = "\"minimum\": " + Numbers.plain(p.min(), 6) + ", \"maximum\": " + Numbers.plain(p.max(), 6);
        if (p.type() instanceof ValueType.ChoiceType c) {
            return "{\"enum\": [" + c.options().stream().map(x -> "\"" + x + "\"").collect(Collectors.joining(", ")) + "]}";
        }
        if (p.standard() instanceof Paint) {
            return "{\"$ref\": \"#/$defs/" + (p.type() instanceof ValueType.ColorType ? "color" : "paint") + "\"}";
        }
        return p.parts().size() == 1 ? "{\"type\": \"number\", " + range + "}"
                : "{\"type\": \"array\", \"items\": {\"type\": \"number\", " + range + "}, \"minItems\": " + p.parts().size() + ", \"maxItems\": "
                + p.parts().size() + "}";
    }

    private static String keys(List<? extends SentenceKind> kinds) {
        return kinds.stream().map(k -> "\"" + k.key() + "\"").collect(Collectors.joining(", "));
    }

    /** What stands in the slots of sentences, each once. */
    private static String slots(List<? extends SentenceKind> kinds) {
        var out = new LinkedHashMap<String, String>();
        kinds.forEach(k -> k.slots().forEach(s -> out.putIfAbsent(s.key(), ", \"" + s.key() + "\": " + schema(s))));
        return String.join("", out.values());
    }

    private static String schema(Slot s) {
        return switch (s.type()) {
            case TIME, DURATION -> "{\"$ref\": \"#/$defs/time\"}";
            case NUMBER -> "{\"type\": \"number\", \"minimum\": " + Numbers.plain(s.min(), 2) + ", \"maximum\": " + Numbers.plain(s.max(), 2) + " }";
            case CHOICE -> "{\"enum\": [" + s.choices().stream().map(c -> "\"" + c + "\"").collect(Collectors.joining(", ")) + "] }";
            case ELEMENTS -> "{\"type\": \"array\", \"minItems\": 1, \"items\": {\"anyOf\": [{\"$ref\": \"#/$defs/id\"}, {\"const\": \"*\"}] } }";
            case SETTING, CHANGE -> "{\"type\": \"object\", \"required\": [\"property\", \"to\"] }";
            case ELEMENT, TIMELINE, MARKER, MOTIF_MARKER, LAYOUT, SCENE, VALUE, SCRIPT -> "{\"$ref\": \"#/$defs/id\"}";
            case COLOR -> "{\"$ref\": \"#/$defs/color\"}";
            case MAP, CAPTIONS -> "{\"type\": \"object\"}";
            case PLAYER, TEXT, CONTENT, EASING, LINK, PHONE, MAIL, SOUND, KEY, PICTURE, VIDEO, FILE, FONT, DATE, MAP_PLACE, TRANSITION ->
                    "{\"type\": \"string\"}";
        };
    }

    /** Replaces what stands between two marks of a text. */
    private static String between(String text, String begin, String end, String by) {
        int from = text.indexOf(begin) + begin.length(), to = text.indexOf(end, from);
        assertThat(from).as(begin).isGreaterThanOrEqualTo(begin.length());
        return text.substring(0, from) + by + text.substring(to);
    }

    @Test
    void theSchemaIsMadeFromTheTables() throws Exception {
        String text = Files.readString(SCHEMA);
        String made = between(text, "\"rest\": {\n          \"type\": \"object\",\n          \"properties\": {\n", "\n          }\n        }",
                restSchema(p -> !Properties.keysOnly(p) && !Properties.OF_TEXT.contains(p) && !ofEffect(p) && p != Properties.BACKGROUND,
                "            "));
        made = between(made, "\"off\": {\"type\": \"boolean\"},\n", "}},\n    \"contour\"", restSchema(DocsTest::ofEffect, "      "));
        // kinds of effects and of values each in their own place
        made = between(made, "\"effect\": {\"type\": \"object\", \"required\": [\"id\", \"kind\"], \"properties\": {\n      \"id\": {\"$ref\": \"#/$defs/id\"}, \"kind\": {\"enum\": [", "]}",
                quoted(Arrays.stream(EffectKind.values()).map(EffectKind::key)));
        made = between(made, "\"name\": {\"type\": \"string\"}, \"kind\": {\"enum\": [", "]}", quoted(Arrays.stream(PieceValue.Kind.values())
                .map(PieceValue.Kind::key)));
        made = between(made, "\"event\": {\"enum\": [", "\n          }}", keys(Events.ALL) + "]}" + slots(Events.ALL));
        made = between(made, "\"condition\": {\"enum\": [", "\n          }}", keys(Conditions.ALL) + "]}" + slots(Conditions.ALL));
        made = between(made, "\"action\": {\"enum\": [", "\n      }}", keys(Actions.ALL) + "]}" + slots(Actions.ALL));
        made = between(made, "\"block\": {\"enum\": [", "]}", quoted(Blocks.ALL.stream().map(BlockKind::key)));
        made = between(made, "\"settings\": {\"type\": \"object\", \"properties\": {", "}}}}},\n        {\"if\"", settings());
        if ("write".equals(System.getProperty("tundra.docs"))) {
            Files.writeString(SCHEMA, made);
        } else {
            assertThat(text).as("run with -Dtundra.docs=write to bring it up to date").isEqualTo(made);
        }
    }

    /** What can be said of blocks, each once. What names something may be empty. */
    private static String settings() {
        var out = new LinkedHashMap<String, String>();
        Blocks.ALL.forEach(k -> k.settings().forEach(x -> out.putIfAbsent(x.slot().key(), "\"" + x.slot().key() + "\": "
                + ("".equals(x.slot().standard()) ? "{\"type\": \"string\"}" : schema(x.slot())))));
        return String.join(", ", out.values());
    }

    private static String quoted(Stream<String> words) {
        return words.map(w -> "\"" + w + "\"").collect(Collectors.joining(", "));
    }

    private static List<String> words(JsonNode n) {
        var out = new ArrayList<String>();
        n.forEach(x -> out.add(x.asString()));
        return out;
    }

    @Test
    void theSchemaKnowsEveryPropertyEventAndAction() throws Exception {
        JsonNode schema = JsonMapper.builder().build().readTree(Files.readString(SCHEMA)), defs = schema.get("$defs");
        JsonNode rest = defs.get("element").get("properties").get("rest").get("properties");
        var keys = Properties.ALL.stream().filter(p -> !Properties.keysOnly(p) && !Properties.OF_TEXT.contains(p) && !ofEffect(p)
                && p != Properties.BACKGROUND).map(Property::key).toList();
        assertThat(List.copyOf(rest.propertyNames())).containsExactlyInAnyOrderElementsOf(keys);
        for (Property<?> p : Properties.ALL) {
            JsonNode own = rest.get(p.key());
            if (own != null && own.has("minimum")) {
                assertThat(own.get("minimum").asDouble()).as(p.key()).isEqualTo(p.min());
                assertThat(own.get("maximum").asDouble()).as(p.key()).isEqualTo(p.max());
            }
            if (own != null && p.type() instanceof ValueType.ChoiceType c) {
                assertThat(words(own.get("enum"))).as(p.key()).isEqualTo(c.options());
            }
        }
        assertThat(words(schema.get("properties").get("page").get("properties").get("fit").get("enum")))
                .isEqualTo(Arrays.stream(PageSettings.Fit.values()).map(PageSettings.Fit::key).toList());
        assertThat(words(schema.get("properties").get("outputs").get("items").get("properties").get("kind").get("enum")))
                .isEqualTo(Outputs.ALL.stream().map(OutputKind::key).toList());
        JsonNode effect = defs.get("effect").get("properties");
        assertThat(words(effect.get("kind").get("enum"))).isEqualTo(Arrays.stream(EffectKind.values()).map(EffectKind::key).toList());
        Properties.ALL.stream().filter(DocsTest::ofEffect).forEach(p -> assertThat(effect.has(p.key())).as(p.key()).isTrue());
        JsonNode reaction = defs.get("reaction").get("properties");
        assertThat(words(reaction.get("when").get("properties").get("event").get("enum"))).isEqualTo(Events.ALL.stream().map(SentenceKind::key)
                .toList());
        JsonNode condition = reaction.get("if").get("items").get("properties");
        assertThat(words(condition.get("condition").get("enum"))).isEqualTo(Conditions.ALL.stream().map(SentenceKind::key).toList());
        Conditions.ALL.forEach(k -> k.slots().forEach(s -> assertThat(condition.has(s.key())).as(k.key() + " " + s.key()).isTrue()));
        JsonNode action = defs.get("action").get("properties");
        assertThat(words(action.get("action").get("enum"))).isEqualTo(Actions.ALL.stream().map(SentenceKind::key).toList());
        Actions.ALL.forEach(k -> k.slots().forEach(s -> assertThat(action.has(s.key())).as(k.key() + " " + s.key()).isTrue()));
    }
}
