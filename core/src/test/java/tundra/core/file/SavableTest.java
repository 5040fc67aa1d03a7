package tundra.core.file;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tundra.core.edit.Rules;
import tundra.core.geometry.Point;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Ids;
import tundra.core.model.Limits;
import tundra.core.model.Project;
import tundra.core.model.Values;

class SavableTest {
    @TempDir
    private Path folder;

    private static Element nested(int deep) {
        Element e = new Element("Leaf", new Content.Rectangle(), Values.NONE);
        for (int i = 1; i < deep; i++) {
            e = new Element(Ids.next(), "Group " + i, false, false, Values.NONE, new Content.Group(List.of(e), new Point(1, 1), null));
        }
        return e;
    }

    private static Element words(int n) {
        return new Element("Words", new Content.Text("a".repeat(n), "Figtree", 400, 20, Content.Align.LEFT, 1.2), Values.NONE);
    }

    private static String refusal(Element e) {
        Project p = Project.empty("P", new Point(100, 100), 24);
        return Rules.refusal(p, p.mapBoard(p.scenes().getFirst().id(), b -> b.withElements(List.of(e))));
    }

    @Test
    void whatIsAllowedCanBeSavedAndOpened() throws Exception {
        for (Element e : List.of(nested(Limits.NESTING), words(Limits.TEXT_CHARS))) {
            assertThat(refusal(e)).isNull();
            Project p = Project.empty("P", new Point(100, 100), 24);
            Path file = folder.resolve(e.name() + ".tundra");
            ProjectFile.write(p.mapBoard(p.scenes().getFirst().id(), b -> b.withElements(List.of(e))), file);
            assertThat(ProjectFile.read(file).scenes().getFirst().board().elements().getFirst().name()).isEqualTo(e.name());
        }
    }

    @Test
    void whatNoFileHoldsIsRefusedInOneSentence() {
        assertThat(refusal(nested(Limits.NESTING + 1))).contains("200 deep").endsWith("Nothing was changed.");
        assertThat(refusal(nested(2000))).contains("200 deep");
        assertThat(refusal(words(Limits.TEXT_CHARS + 1))).contains("100000 letters");
    }
}
