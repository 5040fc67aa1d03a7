package tundra.app.details;

import java.util.List;
import java.util.Set;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import javafx.scene.layout.Region;
import tundra.app.studio.Studio;
import tundra.core.fit.Override;
import tundra.core.model.Property;

/** Marks a row of the details whose value or keys are of the layout that is worked on, with a menu that hands them back. */
final class OwnMark {
    private static final String STYLE = "own-here";
    private final Studio studio;
    private final Region row;
    private final ContextMenu menu = new ContextMenu();
    private final MenuItem item = new MenuItem();
    private List<Override> here = List.of();

    OwnMark(Studio studio, Region row, String what) {
        this.studio = studio;
        this.row = row;
        item.setId("hand-back-row");
        item.setOnAction(e -> studio.layouts().handBack(what, here));
        menu.getItems().setAll(item);
        item.setText("Hand " + what + " back to the scene as drawn");
        row.setOnContextMenuRequested(e -> {
            if (!here.isEmpty()) {
                menu.show(row, e.getScreenX(), e.getScreenY());
                e.consume();
            }
        });
    }

    /** @param owners whose property it is */
    void show(List<String> owners, Property<?> p) {
        Set<Override> differs = studio.layouts().differs();
        List<Override> own = differs.isEmpty() ? List.of() : owners.stream().flatMap(id -> Override.of(differs, id, p).stream()).toList();
        here = own;
        boolean marked = row.getStyleClass().contains(STYLE);
        if (marked == own.isEmpty()) {
            if (marked) {
                row.getStyleClass().remove(STYLE);
            } else {
                row.getStyleClass().add(STYLE);
            }
        }
    }
}
