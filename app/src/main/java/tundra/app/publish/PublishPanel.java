package tundra.app.publish;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.animation.PauseTransition;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.MenuItem;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import tundra.app.job.Dialogs;
import tundra.app.job.Jobs;
import tundra.app.job.Notices;
import tundra.app.output.LastMade;
import tundra.app.output.OutputPlaces;
import tundra.app.output.OutputQueue;
import tundra.app.studio.Aspect;
import tundra.app.studio.Desk;
import tundra.app.studio.Settings;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.app.widget.Icon;
import tundra.app.widget.LightButton;
import tundra.app.widget.LightLabel;
import tundra.app.widget.TallPane;
import tundra.app.widget.Words;
import tundra.core.edit.OutputEdits;
import tundra.core.file.Fingerprint;
import tundra.core.model.Output;
import tundra.core.model.OutputKind;
import tundra.core.model.Outputs;
import tundra.core.model.Project;

/** The outputs of the piece: a card for each, the settings of the one that is worked on, and the queue in which they are made. */
public final class PublishPanel extends VBox {
    private final Studio studio;
    private final Settings settings;
    private final Dialogs dialogs;
    private final Jobs jobs;
    private final Notices notices;
    private final Consumer<String> show;
    private final OutputPlaces places;
    private final OutputQueue queue;
    private final VBox cards = new VBox(8);
    private final OutputDetails details;
    private final Button all = new Button("Make all outputs");
    private final PauseTransition rest = new PauseTransition(Duration.millis(700));
    /** Whether each that was made is of the piece as it is, by its id. */
    private final Map<String, Boolean> current = new HashMap<>();
    private Project looked;
    private String piece = "", picked = "";

    /** @param show opens an address with the system's own program */
    public PublishPanel(Studio studio, Settings settings, Dialogs dialogs, Jobs jobs, Notices notices, Consumer<String> show) {
        this.studio = studio;
        this.settings = settings;
        this.dialogs = dialogs;
        this.jobs = jobs;
        this.notices = notices;
        this.show = show;
        places = new OutputPlaces(settings);
        queue = new OutputQueue(jobs, this::finished);
        queue.listen(this::shown);
        setId("publish");
        getStyleClass().add("outputs");
        var add = new LightButton("+");
        add.setId("outputs-add");
        add.setAccessibleText("Another output");
        Buttons.tip(add, "Another output of this piece");
        Buttons.menu(add, () -> Outputs.ALL.stream().map(k -> item("outputs-add-" + k.key(), k.label() + " – " + k.hint().substring(0, 1)
                .toLowerCase(Locale.ROOT) + k.hint().substring(1), () -> add(k))).toList());
        var gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        var head = new HBox(8, Words.section("Outputs"), gap, add);
        head.setAlignment(Pos.CENTER_LEFT);
        details = new OutputDetails(studio, this);
        cards.getStyleClass().add("output-cards");
        var scroll = new Cards(cards);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        all.setId("outputs-all");
        all.getStyleClass().add("primary");
        all.setMaxWidth(Double.MAX_VALUE);
        all.setMinHeight(Region.USE_PREF_SIZE);
        all.setOnAction(e -> {
            if (queue.busy()) {
                queue.cancelAll();
            } else {
                make(studio.project().outputs());
            }
        });
        getChildren().addAll(head, scroll, all);
        rest.setOnFinished(e -> look());
        studio.listen(what -> {
            if (what.contains(Aspect.DOCUMENT) || what.contains(Aspect.FILE) || what.contains(Aspect.DESK)) {
                follow();
            }
        });
        follow();
    }

    /** Scrolled where it doesn't fit. */
    private static final class Cards extends TallPane {
        Cards(Region content) {
            setContent(content);
        }
    }

    private static MenuItem item(String id, String words, Runnable run) {
        var i = new MenuItem(words);
        i.setId(id);
        i.setMnemonicParsing(false);
        i.setOnAction(e -> run.run());
        return i;
    }

    private void follow() {
        if (!studio.project().id().equals(piece)) {
            piece = studio.project().id();
            queue.clear();
            current.clear();
            looked = null;
        }
        shown();
        if (studio.desk() == Desk.PUBLISH && looked != studio.kept()) {
            rest.playFromStart();
        }
    }

    /** Whether what was made still is of the piece as it is. */
    private void look() {
        Project p = studio.kept();
        looked = p;
        jobs.run(() -> {
            String print = Fingerprint.of(p);
            var out = new HashMap<String, Boolean>();
            for (Output o : p.outputs()) {
                LastMade made = LastMade.of(settings, p, o);
                if (made != null) {
                    out.put(o.id(), Files.exists(made.place()) && made.fingerprint().equals(Fingerprint.of(print, o)));
                }
            }
            return out;
        }, out -> {
            current.clear();
            current.putAll(out);
            shown();
        });
    }

    private void shown() {
        Project p = studio.project();
        if (p.output(picked) == null) {
            picked = p.outputs().isEmpty() ? "" : p.outputs().getFirst().id();
        }
        List<String> ids = p.outputs().stream().map(Output::id).toList();
        if (!cards().stream().map(OutputCard::outputId).toList().equals(ids)) {
            cards.getChildren().setAll(ids.stream().map(id -> new OutputCard(id, () -> pick(id), () -> queue.cancel(id))).toList());
        }
        for (OutputCard c : cards()) {
            Output o = p.output(c.outputId());
            c.show(p, o, o.id().equals(picked), queue.state(o.id()), LastMade.of(settings, p, o), current.get(o.id()));
        }
        details.show(p.output(picked));
        int at = ids.indexOf(picked) + 1;
        if (cards.getChildren().indexOf(details) != at) {
            cards.getChildren().remove(details);
            cards.getChildren().add(Math.min(at, cards.getChildren().size()), details);
        }
        all.setDisable(p.outputs().isEmpty());
        all.setText(queue.busy() ? "Cancel all" : p.outputs().size() == 1 ? "Make it" : "Make all outputs");
    }

    private List<OutputCard> cards() {
        return cards.getChildren().stream().filter(OutputCard.class::isInstance).map(OutputCard.class::cast).toList();
    }

    private void pick(String id) {
        picked = id;
        shown();
    }

    void edit(String name, Object merge, UnaryOperator<Project> change) {
        studio.editProject(name, merge, change);
    }

    private void add(OutputKind k) {
        edit("Add " + k.label().toLowerCase(Locale.ROOT), null, p -> OutputEdits.add(p, k));
        picked = studio.project().outputs().getLast().id();
        shown();
    }

    /** Where an output goes; null where no folder is known yet. */
    Path place(Output o) {
        return places.of(studio.project(), o, studio.file());
    }

    /** Where an output goes, as people say it. */
    String placeWords(Output o) {
        Path to = place(o);
        return to == null ? "no folder chosen yet" : ShownFolders.shown(to, studio.file());
    }

    /** Asks for the folder of all outputs. */
    boolean chooseFolder() {
        Path now = places.folder(studio.project(), studio.file());
        Optional<Path> chosen = dialogs.folder("Folder for the outputs", now);
        chosen.ifPresent(f -> {
            places.setFolder(studio.project(), f);
            shown();
        });
        return chosen.isPresent();
    }

    /** Asks for a place of an output alone. */
    void choosePlace(Output o) {
        Path now = place(o);
        boolean folder = Outputs.ending(o).isEmpty();
        Optional<Path> chosen = folder ? dialogs.folder("Folder for “" + o.name() + "”", now == null ? null : now.getParent())
                : dialogs.save("Make “" + o.name() + "”", now == null ? OutputPlaces.name(studio.project(), o, studio.file()) : now.getFileName()
                .toString(), now == null ? null : now.getParent());
        chosen.ifPresent(to -> {
            String name = places.name(studio.project(), to, studio.file());
            places.setElsewhere(studio.project(), o, name == null ? to : null);
            if (name != null) {
                edit("Name the file of " + o.name(), null, p -> OutputEdits.map(p, o.id(), x -> x.withFile(name)));
            }
            shown();
        });
    }

    /** Makes some outputs, one after the other; asks for a folder first where none is known. */
    void make(List<Output> some) {
        if (some.stream().anyMatch(o -> place(o) == null) && !chooseFolder()) {
            return;
        }
        Project p = studio.kept();
        var taken = new ArrayList<Path>();
        for (Output o : some) {
            Path to = place(o);
            if (taken.contains(to)) {
                notices.problem("Two outputs would go to “" + to.getFileName() + "”. Give “" + o.name()
                        + "” another name or place; it was not made.");
            } else {
                taken.add(to);
                queue.add(p, p.output(o.id()) == null ? o : p.output(o.id()), to);
            }
        }
    }

    /** Makes the first output of a kind; adds one where there is none. */
    public void make(OutputKind kind) {
        Output o = studio.project().outputs().stream().filter(x -> x.kind() == kind).findFirst().orElse(null);
        if (o == null) {
            add(kind);
            o = studio.project().outputs().getLast();
        }
        picked = o.id();
        make(List.of(o));
        shown();
    }

    /** Makes all outputs of the piece. */
    public void makeAll() {
        make(studio.project().outputs());
    }

    private void finished(OutputQueue.Finished f, int together) {
        new LastMade(System.currentTimeMillis(), f.made().size() + " · " + f.made().words(), f.fingerprint(), f.made().path())
                .keep(settings, f.project(), f.output());
        current.put(f.output().id(), f.project() == studio.kept() ? Boolean.TRUE : null);
        looked = f.project() == studio.kept() ? looked : null;
        shown();
        String more = f.made().leftOut().isEmpty() ? "" : " " + f.made().leftOut();
        if (together > 1) {
            notices.news(together + " outputs are made, " + ShownFolders.shown(f.made().path().toAbsolutePath().getParent(), studio.file()) + ".",
                    "Show the folder", () -> open(f.made().path().toAbsolutePath().getParent()));
        } else if (together == 1) {
            notices.news("“" + f.output().name() + "” is made: " + f.made().size() + ", " + ShownFolders.shown(f.made().path(), studio.file()) + "."
                    + more, "Open", () -> open(opened(f.output(), f.made().path())));
        }
    }

    private static Path opened(Output o, Path made) {
        Path index = made.resolve("index.html");
        return (o.kind() == Outputs.PAGE || o.kind() == Outputs.EMBED) && Files.isDirectory(made) && Files.exists(index) ? index : made;
    }

    private void open(Path file) {
        show.accept(file.toUri().toString());
    }

    void open(Output o) {
        LastMade made = LastMade.of(settings, studio.project(), o);
        if (made != null && Files.exists(made.place())) {
            open(opened(o, made.place()));
        }
    }

    void showFolder(Output o) {
        LastMade made = LastMade.of(settings, studio.project(), o);
        if (made != null) {
            open(Files.isDirectory(made.place()) ? made.place() : made.place().toAbsolutePath().getParent());
        }
    }

    boolean wasMade(Output o) {
        LastMade made = LastMade.of(settings, studio.project(), o);
        return made != null && Files.exists(made.place());
    }

    OutputQueue queue() {
        return queue;
    }

    Jobs jobs() {
        return jobs;
    }

    Notices notices() {
        return notices;
    }
}
