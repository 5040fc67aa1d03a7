package tundra.app.details;

import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tundra.app.job.Jobs;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.app.widget.LightComboBox;
import tundra.app.widget.NamedRow;
import tundra.app.widget.LightButton;
import tundra.app.widget.Words;
import tundra.app.widget.WordsOf;
import tundra.core.edit.Motifs;
import tundra.core.model.Motif;
import tundra.core.model.Project;
import tundra.core.series.LiveCost;
import tundra.core.series.MotifSeries;
import tundra.core.series.Series;
import tundra.render.SkiaSeries;

/** Whether a motif is published as what it is or as a series of pictures, with what either costs. */
final class PicturesSection extends VBox {
    private final Studio studio;
    private final Jobs jobs;
    private final String motif;
    private final ComboBox<Boolean> choice = new LightComboBox<>();
    private final Label live = line("pictures-live");
    private final Label series = line("pictures-series");
    private final LightButton work = new LightButton("Work it out");
    private final ProgressBar bar = new ProgressBar(0);
    private Runnable giveUp;
    private boolean showing;

    PicturesSection(Studio studio, Jobs jobs, String motif) {
        super(6);
        this.studio = studio;
        this.jobs = jobs;
        this.motif = motif;
        setId("motif-pictures");
        choice.setId("field-pictures");
        choice.setAccessibleText("On the page");
        choice.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(choice, Priority.ALWAYS);
        choice.getItems().setAll(false, true);
        choice.setConverter(new WordsOf<>(b -> b ? "A series of pictures" : "Live"));
        choice.setOnAction(e -> {
            if (!showing && choice.getValue() != null) {
                boolean to = choice.getValue();
                studio.editProject(to ? "Publish as pictures" : "Publish live", null, p -> Motifs.map(p, motif, m -> m.withPictures(to)));
            }
        });
        work.setId("pictures-work");
        work.getStyleClass().add("small-press");
        Buttons.tip(work, "Paints the pictures now, to see what they take and how like the motif they are");
        work.setOnAction(this::work);
        bar.setMaxWidth(Double.MAX_VALUE);
        getChildren().addAll(Words.section("On the page"), new NamedRow("Shown as", choice), live, series, work, bar);
        sceneProperty().addListener((o, was, is) -> {
            if (is == null && giveUp != null) {
                giveUp.run();
            }
        });
        refresh();
    }

    private static Label line(String id) {
        var l = new Label();
        l.setId(id);
        l.setWrapText(true);
        l.setMinHeight(USE_PREF_SIZE);
        l.getStyleClass().addAll("quiet", "small");
        return l;
    }

    private static void seen(Node n, boolean on) {
        n.setVisible(on);
        n.setManaged(on);
    }

    private void work() {
        if (giveUp != null) {
            giveUp.run();
            giveUp = null;
            refresh();
            return;
        }
        Project p = studio.kept();
        Motif m = p.motif(motif);
        bar.setProgress(0);
        giveUp = jobs.start(progress -> {
            try {
                return new SkiaSeries(progress).paint(p, m);
            } finally {
                Platform.runLater(() -> {
                    giveUp = null;
                    refresh();
                });
            }
        }, bar::setProgress, x -> refresh(), () -> { });
        refresh();
    }

    void refresh() {
        Project p = studio.project();
        Motif m = p.motif(motif);
        if (m == null) {
            return;
        }
        showing = true;
        String hindrance = MotifSeries.hindrance(p, m);
        choice.setValue(m.pictures());
        choice.setDisable(hindrance != null && !m.pictures());
        LiveCost cost = LiveCost.of(p, m);
        live.setText(cost.words());
        Series known = hindrance == null ? SkiaSeries.known(p, m) : null;
        series.setText(hindrance != null ? (m.pictures() ? "It is shown live: " : "No pictures: ") + hindrance
                : known != null ? known.words() + (known.memory() > cost.bytes() ? " That is more than live." : "") : "As pictures: "
                + MotifSeries.frames(p, m) + " frames, painted when the page is made.");
        work.setText(giveUp == null ? "Work it out" : "Give up");
        seen(work, hindrance == null && known == null);
        seen(bar, giveUp != null);
        showing = false;
    }
}
