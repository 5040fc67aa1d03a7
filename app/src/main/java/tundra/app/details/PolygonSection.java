package tundra.app.details;

import java.util.function.UnaryOperator;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tundra.app.studio.Studio;
import tundra.app.widget.NumberField;
import tundra.app.widget.Words;
import tundra.core.model.Content;
import tundra.core.model.Element;

/** The corners of a polygon or star. */
final class PolygonSection extends VBox {
    private final Studio studio;
    private final String id;
    private final NumberField points = new NumberField("Number of points", "points", 0);
    private final NumberField inner = new NumberField("Inner radius", "inner %", 1);

    PolygonSection(Studio studio, Element e) {
        super(6);
        this.studio = studio;
        id = e.id();
        var title = Words.section("Corners");
        points.setId("field-points");
        inner.setId("field-inner");
        points.onChange((v, merge) -> change(merge, p -> new Content.Polygon((int) Math.round(v), p.inner())));
        inner.onChange((v, merge) -> change(merge, p -> new Content.Polygon(p.points(), v / 100)));
        HBox.setHgrow(points, Priority.ALWAYS);
        HBox.setHgrow(inner, Priority.ALWAYS);
        getChildren().addAll(title, new HBox(6, points, inner));
        refresh();
    }

    private void change(Object merge, UnaryOperator<Content.Polygon> change) {
        if (studio.board().find(id) instanceof Element e && e.content() instanceof Content.Polygon p) {
            studio.edit("Change corners of " + e.name(), merge, b -> b.mapElement(id, x -> x.withContent(change.apply(p))));
        }
    }

    void refresh() {
        if (studio.board().find(id) instanceof Element e && e.content() instanceof Content.Polygon p) {
            points.show(p.points());
            inner.show(Math.round(p.inner() * 1000) / 10.0);
        }
    }
}
