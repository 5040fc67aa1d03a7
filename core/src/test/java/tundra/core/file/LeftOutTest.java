package tundra.core.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tundra.core.model.Board;
import tundra.core.model.Element;
import tundra.core.model.Limits;
import tundra.core.model.Project;
import tundra.core.model.Properties;

/** Damaged and unknown parts of a file are left out and named; what is whole around them opens. */
class LeftOutTest {
    private static final String WHOLE = """
            {"tundra": 2, "id": "p", "name": "Fell", "frameRate": 24, "assets": [], "scenes": [{"id": "s", "name": "Night", "size": [100, 80],
             "canvas": {}, "elements": [
              {"id": "hut", "name": "Hut", "type": "rectangle", "rest": {"size": [10, 10]}},
              {"id": "fog", "name": "Fog", "type": "vapour", "rest": {}},
              {"id": "row", "name": "Row", "type": "group", "box": [5, 5], "rest": {}, "children": [
                {"id": "lamp", "name": "Lamp", "type": "ellipse", "rest": {"opacity": 7}},
                {"id": "door", "name": "Door", "type": "rectangle", "rest": {}}]}],
             "timelines": [{"id": "m", "name": "Main", "duration": 1000000, "loop": false, "starts": true, "keys": {
               "hut": {"opacity": [{"at": 0, "value": 1, "easing": "linear"}], "rotation": [{"at": 5, "value": "round", "easing": "linear"}]},
               "fog": {"opacity": [{"at": 0, "value": 1, "easing": "linear"}]}}}],
             "reactions": [
               {"id": "r1", "when": {"event": "tapped", "element": "hut"}, "do": [{"action": "play", "timeline": "m"}]},
               {"id": "r2", "when": {"event": "stared at", "element": "hut"}, "do": []}]}]}""";

    private static Project read(String json, Parts parts) throws FileProblem {
        return ProjectReader.read(json.getBytes(StandardCharsets.UTF_8), Map.of(), parts);
    }

    @Test
    void whatIsWholeOpensAndTheRestIsNamed() throws Exception {
        Parts parts = Parts.lenient();
        Board b = read(WHOLE, parts).scenes().getFirst().board();
        assertThat(b.elements()).extracting(Element::name).containsExactly("Hut", "Row");
        assertThat(b.find("row").children()).extracting(Element::name).containsExactly("Door");
        assertThat(b.main().track("hut", Properties.OPACITY)).isNotNull();
        assertThat(b.main().track("hut", Properties.ROTATION)).isNull();
        assertThat(b.reactions()).hasSize(1);
        assertThat(parts.leftOut()).hasSize(5).anyMatch(x -> x.contains("“vapour”") && x.contains("“Fog”")).anyMatch(x -> x.contains("“Lamp”")
                && x.contains("opacity"))
                .anyMatch(x -> x.contains("fog")).anyMatch(x -> x.contains("rotation")).anyMatch(x -> x.contains("event"));
    }

    @Test
    void aSaveIsCheckedStrictly() {
        assertThatThrownBy(() -> read(WHOLE, Parts.strict())).isInstanceOf(FileProblem.class).hasMessageContaining("vapour");
    }

    @Test
    void whatHasNoSceneLeftIsRefused() {
        assertThatThrownBy(() -> read(WHOLE.replace("\"size\": [100, 80]", "\"size\": [0, 80]"), Parts.lenient())).isInstanceOf(FileProblem.class)
                .hasMessageContaining("scenes");
    }

    @Test
    void filesOfTheFirstSchemaMoveOn() throws Exception {
        String old = """
                {"tundra": 1, "id": "p", "name": "Fell", "frameRate": 24, "assets": [], "scenes": [{"id": "s", "name": "Night", "size": [100, 80],
                 "canvas": {}, "elements": [{"id": "g", "name": "Group", "type": "group", "box": [5, 5], "rest": {}, "children": [{"id": "t", "name": "Words", "type": "text",
                  "text": "a", "family": "Figtree", "weight": 400, "fontSize": 10, "align": "left", "lineHeight": 1.2, "spacing": 3, "rest": {}}]}],
                 "timelines": [{"id": "m", "name": "Main", "duration": 1000000, "loop": false, "starts": true, "keys": {}}], "reactions": []}]}""";
        Element t = read(old, Parts.strict()).scenes().getFirst().board().find("t");
        assertThat(t.rest().get(Properties.LETTER_SPACING)).isEqualTo(3.0);
        assertThat(t.rest().get(Properties.FONT_SIZE)).isEqualTo(10.0);
        assertThat(Migration.ALL).as("one for each step").hasSize(Limits.SCHEMA - 1);
    }
}
