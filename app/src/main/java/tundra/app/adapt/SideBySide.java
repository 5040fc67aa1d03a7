package tundra.app.adapt;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import javafx.application.Platform;
import javafx.scene.layout.VBox;
import tundra.app.studio.Desk;
import tundra.app.studio.Studio;
import tundra.app.widget.TallPane;
import tundra.core.fit.Layouts;
import tundra.core.fit.Lens;
import tundra.core.model.Board;

/** All layouts of the scene beside the one that is worked on, the widest first, at the playhead and playing along. */
public final class SideBySide extends TallPane {
    private final Studio studio;
    private final VBox faces = new VBox(8);
    private final List<LayoutFace> made = new ArrayList<>();
    private Board of;
    private String shown;
    private final Map<String, Board> seen = new HashMap<>();

    public SideBySide(Studio studio) {
        this.studio = studio;
        setId("side-by-side");
        getStyleClass().add("side-by-side");
        faces.getStyleClass().add("layout-faces");
        setContent(faces);
        studio.listen(what -> refresh());
        refresh();
    }

    private void refresh() {
        boolean on = studio.desk() == Desk.ADAPT && !studio.base().layouts().isEmpty();
        setVisible(on);
        setManaged(on);
        if (!on) {
            return;
        }
        Board base = studio.base();
        if (base != of) {
            of = base;
            seen.clear();
        }
        List<Layouts.Range> ranges = Layouts.ranges(base).reversed();
        while (made.size() < ranges.size()) {
            made.add(new LayoutFace(studio));
        }
        if (faces.getChildren().size() != ranges.size()) {
            faces.getChildren().setAll(made.subList(0, ranges.size()));
        }
        String here = studio.layout() == null ? null : studio.layout().id();
        for (int i = 0; i < ranges.size(); i++) {
            Layouts.Range r = ranges.get(i);
            String id = r.layout() == null ? null : r.layout().id();
            if (!Objects.equals(here, shown) && Objects.equals(id, here)) {
                LayoutFace face = made.get(i);
                // once it has its place
                Platform.runLater(() -> reveal(face));
            }
            made.get(i).show(r, seen.computeIfAbsent(id == null ? "" : id, k -> Lens.get(base, id)));
        }
        shown = here;
    }
}
