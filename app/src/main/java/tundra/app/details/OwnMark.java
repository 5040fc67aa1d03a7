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
    private final String what;
    /** Made once it is asked for: there are many rows. */
    private ContextMenu menu;
    /** What the layout has of its own of what the row shows. */
    private List<Override> overrides = List.of();

    OwnMark(Studio studio, Region row, String what) {
        this.studio = studio;
        this.row = row;
        this.what = what;
        row.setOnContextMenuRequested(e -> {
            if (!overrides.isEmpty()) {
                menu().show(row, e.getScreenX(), e.getScreenY());
                e.consume();
            }
        });
    }

    private ContextMenu menu() {
        if (menu == null) {
            var item = new MenuItem("Hand " + what + " back to the scene as drawn");
            item.setId("hand-back-row");
            item.setOnAction(e -> studio.layouts().handBack(what, overrides));
            menu = new ContextMenu(item);
        }
        return menu;
    }

    /** @param owners whose property it is */
    void show(List<String> owners, Property<?> p) {
        Set<Override> differs = studio.layouts().differs();
        List<Override> own = differs.isEmpty() ? List.of() : owners.stream().flatMap(id -> Override.of(differs, id, p).stream()).toList();
        overrides = own;
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
