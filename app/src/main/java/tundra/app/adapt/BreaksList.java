package tundra.app.adapt;

import java.util.List;
import java.util.Set;
import javafx.geometry.Pos;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tundra.app.command.CommandIds;
import tundra.app.command.Commands;
import tundra.app.job.Jobs;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.app.widget.LightLabel;
import tundra.app.widget.LightButton;
import tundra.core.check.TouchAreas;
import tundra.core.fit.Breaks;
import tundra.core.fit.Layouts;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Layout;

/** «Where it breaks»: the widths at which the layout that is worked on is no longer right, each with a layout that could begin there. */
public final class BreaksList extends VBox {
    /** Of the nearest so many are shown. */
    private static final int SHOWN = 4, LEAST = 240, MOST = 2400;
    private final Studio studio;
    private final Jobs jobs;
    private final VBox rows = new VBox(4);
    private Board of;

    public BreaksList(Studio studio, Commands commands, Jobs jobs) {
        super(6);
        this.studio = studio;
        this.jobs = jobs;
        getStyleClass().add("layout-section");
        getChildren().addAll(new HBox(6, Buttons.text(commands.get(CommandIds.BREAKS), "Where it breaks"),
                Buttons.text(commands.get(CommandIds.SHARE_WIDTH), "Share the width")), rows);
        studio.listen(what -> {
            // what was found is of a board as it was
            if (of != null && of != studio.drawn()) {
                of = null;
                rows.getChildren().clear();
            }
        });
    }

    /** Looks, off the interface thread. */
    public void look() {
        Board b = studio.drawn();
        Set<String> tapped = TouchAreas.reacting(studio.kept(), b);
        long time = studio.time().playhead();
        var fonts = studio.picture().fonts();
        rows.getChildren().setAll(new LightLabel("looking …", "quiet", "small"));
        jobs.start(p -> Breaks.of(b, LEAST, MOST, tapped, fonts, time, p), share -> { }, found -> show(b, found), rows.getChildren()::clear);
    }

    private void show(Board b, List<Breaks.Break> found) {
        of = b;
        rows.getChildren().clear();
        if (found.isEmpty()) {
            rows.getChildren().add(new LightLabel("right from " + LEAST + " to " + MOST + " px", "quiet", "small"));
        }
        for (Breaks.Break x : found.subList(0, Math.min(SHOWN, found.size()))) {
            var words = new LightLabel(x.width() + " px: " + Breaks.words(b, x.problem()), "small");
            words.setMinWidth(0);
            HBox.setHgrow(words, Priority.ALWAYS);
            Buttons.tip(words, x.width() + " px: " + Breaks.words(b, x.problem()));
            var make = new LightButton("Layout here");
            make.setId("break-" + x.width());
            make.setMinWidth(USE_PREF_SIZE);
            make.setOnAction(() -> make(x.width()));
            var row = new HBox(6, words, make);
            row.setAlignment(Pos.CENTER_LEFT);
            rows.getChildren().add(row);
        }
        if (found.size() > SHOWN) {
            rows.getChildren().add(new LightLabel("and " + (found.size() - SHOWN) + " more", "quiet", "small"));
        }
    }

    /** A layout for that width and those beyond it, as far as the one that is worked on goes. */
    private void make(int width) {
        Board base = studio.base();
        Layout here = studio.layout();
        double drawn = studio.drawn().size().x();
        int from = width < drawn ? here == null ? 0 : here.from() : width, to = width < drawn ? width + 1 : here == null ? Layout.WIDEST : here.to();
        var made = new String[1];
        studio.editBase("New layout", null, b -> {
            Board out = Layouts.add(b, width < drawn ? "Up to " + width : "From " + width, from, to, new Point(width, studio.drawn().size().y()),
                    here == null ? null : here.id());
            made[0] = out.layouts().stream().filter(l -> base.layout(l.id()) == null).findFirst().orElseThrow().id();
            return out;
        });
        studio.layouts().setLayout(made[0]);
    }
}
