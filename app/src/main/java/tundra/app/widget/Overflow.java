package tundra.app.widget;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Bounds;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.Popup;

/** Things beside each other. Where there is no room for all, the last ones stand in a box that a button at the end opens. */
public final class Overflow extends Region {
    private final double gap;
    private final LightButton more = new LightButton("");
    /** Made when it is first opened: the bar is made beside the interface thread, where no popup may be touched. */
    private Popup popup;
    private final VBox box = new VBox(8);
    private List<Node> items = List.of();
    private int fitting;

    /** @param gap between two, in px */
    public Overflow(double gap, String about) {
        this.gap = gap;
        more.setId("more-settings");
        more.setMark(Buttons.opener(), LightLabel.Place.AFTER);
        more.setText("More");
        more.getStyleClass().add("small-press");
        Buttons.tip(more, about);
        more.setOnAction(this::toggle);
        box.getStyleClass().add("popover");
        box.setAlignment(Pos.CENTER_LEFT);
    }

    public void setItems(List<? extends Node> all) {
        if (open()) {
            popup.hide();
        }
        items = List.copyOf(all);
        back();
    }

    /** Those that were in the box stand in the row again. */
    private void back() {
        box.getChildren().clear();
        var all = new ArrayList<Node>(items);
        all.add(more);
        getChildren().setAll(all);
        requestLayout();
    }

    private boolean open() {
        return popup != null && popup.isShowing();
    }

    private void toggle() {
        if (open()) {
            popup.hide();
            return;
        }
        if (popup == null) {
            popup = Popovers.closing(new Popup());
            popup.getContent().add(box);
            popup.setOnHidden(e -> back());
        }
        List<Node> hidden = items.subList(fitting, items.size());
        // names stand before their fields
        var row = new HBox(8);
        for (Node n : hidden) {
            if (n instanceof LightLabel && !row.getChildren().isEmpty()) {
                box.getChildren().add(row);
                row = new HBox(8);
            }
            row.setAlignment(Pos.CENTER_LEFT);
            n.setVisible(true);
            row.getChildren().add(n);
        }
        box.getChildren().add(row);
        box.getStylesheets().setAll(getScene().getStylesheets());
        box.getStyleClass().removeIf(s -> s.equals("dark") || s.equals("light"));
        getScene().getRoot().getStyleClass().stream().filter(s -> !box.getStyleClass().contains(s)).forEach(box.getStyleClass()::add);
        Bounds at = more.localToScreen(more.getLayoutBounds());
        popup.show(more, at.getMinX(), at.getMaxY() + 4);
    }

    private double width(int count) {
        double w = 0;
        for (int i = 0; i < count; i++) {
            w += items.get(i).prefWidth(-1) + (i > 0 ? gap : 0);
        }
        return w;
    }

    @Override
    protected double computePrefWidth(double height) {
        return snapSizeX(width(items.size()));
    }

    @Override
    protected double computeMinWidth(double height) {
        return snapSizeX(Math.min(computePrefWidth(height), items.isEmpty() ? 0 : items.getFirst().prefWidth(-1) + gap + more.prefWidth(-1)));
    }

    @Override
    protected double computePrefHeight(double width) {
        return items.stream().mapToDouble(n -> n.prefHeight(-1)).max().orElse(0);
    }

    @Override
    protected void layoutChildren() {
        if (open()) {
            return;
        }
        double room = getWidth();
        fitting = items.size();
        if (width(fitting) > room + 0.5) {
            // a name never stands at the end without its field
            while (fitting > 1 && (width(fitting) + gap + more.prefWidth(-1) > room || items.get(fitting - 1) instanceof LightLabel && fitting > 1)) {
                fitting--;
            }
        }
        double x = 0;
        for (int i = 0; i < items.size(); i++) {
            Node n = items.get(i);
            n.setVisible(i < fitting);
            if (i < fitting) {
                x += place(n, x) + gap;
            }
        }
        more.setVisible(fitting < items.size());
        if (more.isVisible()) {
            place(more, x);
        }
    }

    private double place(Node n, double x) {
        double w = n.prefWidth(-1), h = n.prefHeight(-1);
        n.resizeRelocate(snapPositionX(x), snapPositionY((getHeight() - h) / 2), snapSizeX(w), h);
        return w;
    }
}
