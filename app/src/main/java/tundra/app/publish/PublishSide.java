package tundra.app.publish;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.Map;
import java.util.function.Consumer;
import javafx.animation.PauseTransition;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import tundra.app.check.ChecksPanel;
import tundra.app.job.Dialogs;
import tundra.app.job.Jobs;
import tundra.app.job.Notices;
import tundra.app.output.Makers;
import tundra.app.studio.Aspect;
import tundra.app.studio.Desk;
import tundra.app.studio.Settings;
import tundra.app.studio.Studio;
import tundra.app.widget.TallPane;
import tundra.core.edit.OutputEdits;
import tundra.core.model.Asset;
import tundra.core.model.Output;
import tundra.core.model.Outputs;
import tundra.core.model.Project;
import tundra.core.series.ShownPictures;
import tundra.render.Fonts;
import tundra.render.SkiaSeries;
import tundra.web.Page;
import tundra.web.PageWeight;

/** Beside the page: what the checks found, what it weighs, the page on a phone, and where it is sent. */
public final class PublishSide extends TallPane {
    private final Studio studio;
    private final Jobs jobs;
    private final WeightSection weight;
    private final PhoneSection phone;
    private final SendSection send;
    private final VBox all = new VBox(16);
    private final PauseTransition rest = new PauseTransition(Duration.millis(2000));
    private Project weighed;
    private Runnable left = () -> { };

    private record Weighed(Page page, PageWeight weight, Map<String, Long> saved) {}

    /** @param open shows an address in the system's browser */
    public PublishSide(Studio studio, Settings settings, Dialogs dialogs, Jobs jobs, Notices notices, TryIt tryIt, Consumer<String> open) {
        this.studio = studio;
        this.jobs = jobs;
        weight = new WeightSection(() -> studio.editProject("Make pictures smaller", null, p -> OutputEdits.set(p, page().id(), Outputs.PICTURES,
                "smaller")), () -> measure(tryIt, open));
        tryIt.onMeasured(weight::measured);
        phone = new PhoneSection(notices);
        send = new SendSection(studio, settings, dialogs, jobs, notices, this::page);
        all.getChildren().addAll(ChecksPanel.docked(studio, settings), weight, phone, send);
        all.getStyleClass().add("publish-side");
        setContent(all);
        rest.setOnFinished(e -> weigh());
        studio.listen(what -> {
            if (what.contains(Aspect.DOCUMENT) || what.contains(Aspect.FILE) || what.contains(Aspect.DESK)) {
                follow();
            }
        });
        follow();
    }

    /** Shows below everything what just happened in the page. */
    public void show(LogPanel log) {
        if (!all.getChildren().contains(log)) {
            all.getChildren().add(log);
        }
    }

    /** The page that is weighed and sent: the first that the piece has, or a usual one. */
    private Output page() {
        return studio.kept().outputs().stream().filter(o -> o.kind() == Outputs.PAGE).findFirst().orElse(Outputs.PAGE.made());
    }

    private void follow() {
        send.follow();
        if (studio.desk() == Desk.PUBLISH && studio.kept() != weighed) {
            rest.playFromStart();
        } else if (studio.desk() != Desk.PUBLISH) {
            rest.stop();
        }
    }

    private void measure(TryIt tryIt, Consumer<String> open) {
        Project p = studio.kept();
        jobs.start(progress -> {
            try {
                return tryIt.url(p, new SkiaSeries(progress));
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }, share -> { }, url -> open.accept(url + "?measure"), () -> { });
    }

    /** Makes the page as it would be published; what is shared is that, too. */
    private void weigh() {
        if (jobs.busy()) {
            // the page that is tried comes first
            rest.playFromStart();
            return;
        }
        Project p = studio.kept();
        Output o = page();
        weighed = p;
        left.run();
        left = jobs.start(progress -> {
            try {
                Page page = Makers.page(p, o, progress);
                var saved = new HashMap<String, Long>();
                if (!o.text(Outputs.PICTURES).equals("smaller")) {
                    Project small = ShownPictures.smaller(p, Fonts.of(p.assets()), new SkiaSeries(progress));
                    for (Asset a : p.assets().values()) {
                        long less = a.source().length() - small.assets().get(a.hash()).source().length();
                        if (a.kind() == Asset.Kind.PICTURE && less > 0) {
                            saved.put(PageWeight.file(a), less);
                        }
                    }
                }
                return new Weighed(page, PageWeight.of(page), saved);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }, share -> { }, w -> {
            phone.serve(w.page);
            weight.show(w.weight, w.saved);
        }, () -> { });
    }

    /** Nothing is shared any more. */
    public void close() {
        left.run();
        rest.stop();
        phone.stop();
    }
}
