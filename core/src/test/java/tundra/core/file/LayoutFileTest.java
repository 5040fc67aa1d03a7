package tundra.core.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import tundra.core.edit.Arrange;
import tundra.core.edit.Rules;
import tundra.core.fit.RandomBoards;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Differs;
import tundra.core.model.Layout;
import tundra.core.model.Project;
import tundra.core.model.Scene;

/** Layouts in files: what is written is read again, and what they say of something that is gone goes with it. */
class LayoutFileTest {
    private final RandomBoards boards = new RandomBoards(new Random(5));

    private static Project piece(Board b) {
        return new Project("p", "Piece", 60, List.of(new Scene("s", "Scene 1", b)), Map.of(), Map.of());
    }

    private static Project again(String json, Parts parts) throws FileProblem {
        return ProjectReader.read(json.getBytes(StandardCharsets.UTF_8), Map.of(), parts);
    }

    @Test
    void whatIsWrittenIsReadAgain() throws Exception {
        int differ = 0;
        for (int i = 0; i < 60; i++) {
            Project p = piece(boards.board());
            String json = ProjectWriter.write(p);
            Project read = again(json, Parts.strict());
            assertThat(read).isEqualTo(p);
            assertThat(ProjectWriter.write(read)).isEqualTo(json);
            assertThat(SchemaCheck.problems(p)).isEmpty();
            differ += p.scenes().getFirst().board().layouts().stream().mapToInt(l -> tundra.core.fit.Override.of(l.differs()).size()).sum();
        }
        assertThat(differ).as("things that differ").isGreaterThan(300);
    }

    @Test
    void fieldsOfALaterVersionAreKept() throws Exception {
        Board b = boards.board();
        String json = ProjectWriter.write(piece(b)).replaceFirst("\"layouts\" : \\[ \\{", "\"layouts\" : [ { \"later\" : 7,");
        assertThat(json).contains("\"later\" : 7");
        assertThat(ProjectWriter.write(again(json, Parts.strict()))).contains("\"later\" : 7");
    }

    @Test
    void aDamagedPartOfALayoutIsLeftOutAndTheRestIsRead() throws Exception {
        Board b = boards.board().withLayouts(List.of(new Layout("phone", "Phone", 0, 560, new Point(360, 640),
                Differs.NOTHING.withWords("e0", "x"))));
        String stray = ProjectWriter.write(piece(b)).replace("\"e0\" : \"x\"", "\"nobody\" : \"x\"");
        assertThatThrownBy(() -> again(stray, Parts.strict())).isInstanceOf(FileProblem.class).hasMessageContaining("nobody");
        Parts lenient = Parts.lenient();
        Project read = again(stray, lenient);
        assertThat(lenient.leftOut()).hasSize(1);
        assertThat(read.scenes().getFirst().board().layouts()).hasSize(1).allSatisfy(l -> assertThat(l.differs().none()).isTrue());
        String twice = ProjectWriter.write(piece(b.withLayouts(List.of(new Layout("phone", "Phone", 0, 560, b.size()),
                new Layout("low", "Low", 500, 900, b.size())))));
        assertThatThrownBy(() -> again(twice, Parts.strict())).hasMessageContaining("begins among the widths of another layout");
    }

    @Test
    void whatIsGoneFromTheBaseGoesFromEveryLayoutAndTheFileCanBeRead() throws Exception {
        for (int i = 0; i < 60; i++) {
            Board b = boards.board();
            Project p = piece(b);
            String id = b.elements().get(i % b.elements().size()).id();
            Board less = Arrange.delete(b, Set.of(id));
            less = i % 2 == 0 ? less : less.withTimelines(less.timelines().subList(0, 2));
            Project now = Rules.tidied(p, p.withScenes(List.of(new Scene("s", "Scene 1", less))));
            Board left = now.scenes().getFirst().board();
            left.layouts().forEach(l -> {
                assertThat(l.differs().values()).doesNotContainKey(id);
                assertThat(l.differs().timelines().keySet()).allMatch(t -> left.timeline(t) != null);
                assertThat(l.differs().reactions().values()).allMatch(r -> r.slots().stream().noneMatch(x -> x.names(id)));
            });
            assertThat(again(ProjectWriter.write(now), Parts.strict())).isEqualTo(now);
        }
    }

    @Test
    void aVersionWithTooManyLayoutsIsRefused() {
        Board b = boards.board();
        Project p = piece(b);
        var many = new ArrayList<Layout>();
        for (int i = 0; i < 101; i++) {
            many.add(new Layout("l" + i, "L" + i, i, i + 1, b.size()));
        }
        Project more = p.withScenes(List.of(new Scene("s", "Scene 1", b.withLayouts(many))));
        assertThat(Rules.refusal(p, more)).isEqualTo("A scene can have 100 layouts, and that would be 101. Nothing was changed.");
    }
}
