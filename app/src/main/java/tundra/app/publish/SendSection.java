package tundra.app.publish;

import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.concurrent.CancellationException;
import java.util.function.Supplier;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tundra.app.job.Dialogs;
import tundra.app.job.Jobs;
import tundra.app.job.Notices;
import tundra.app.job.Troubles;
import tundra.app.output.Made;
import tundra.app.output.Makers;
import tundra.app.send.KnownHosts;
import tundra.app.send.Place;
import tundra.app.send.Secrets;
import tundra.app.send.Sending;
import tundra.app.studio.Settings;
import tundra.app.studio.Studio;
import tundra.app.widget.LightComboBox;
import tundra.app.widget.NamedRow;
import tundra.app.widget.Times;
import tundra.app.widget.Words;
import tundra.app.widget.WordsOf;
import tundra.core.model.Output;
import tundra.core.model.Project;
import tundra.core.work.Progress;

/** Sends the page to a place: says what would change before, and brings the version before back. */
final class SendSection extends VBox {
    private static final String PLACE = "place", LAST = "last";
    private final Studio studio;
    private final Settings settings;
    private final Dialogs dialogs;
    private final Jobs jobs;
    private final Notices notices;
    private final Supplier<Output> output;
    private final Secrets secrets = new Secrets();
    private final ComboBox<Place.Kind> kind = new LightComboBox<>();
    private final TextField address = new TextField(), user = new TextField(), folder = new TextField();
    private final Label state = new Label(), last = new Label();
    private final ProgressBar bar = new ProgressBar(0);
    private final Button look = new Button("What would change"), send = new Button("Send"), back = new Button("Bring back the one before"),
            cancel = new Button("Cancel");
    private Runnable giveUp = () -> { };
    private String piece = "";

    /** Works at a place, off the interface thread. */
    private interface Work {
        String at(Sending s, Progress progress) throws Exception;
    }

    /** @param output the page that is sent */
    SendSection(Studio studio, Settings settings, Dialogs dialogs, Jobs jobs, Notices notices, Supplier<Output> output) {
        super(6);
        this.studio = studio;
        this.settings = settings;
        this.dialogs = dialogs;
        this.jobs = jobs;
        this.notices = notices;
        this.output = output;
        setId("send");
        kind.setId("send-kind");
        kind.getItems().setAll(Place.Kind.values());
        kind.setConverter(new WordsOf<>(k -> k.words));
        kind.setMaxWidth(Double.MAX_VALUE);
        kind.setAccessibleText("Kind of place");
        kind.setOnAction(e -> shown());
        field(address, "send-address", "Address");
        field(user, "send-user", "Name on the host");
        field(folder, "send-folder", "Folder on the host");
        state.setId("send-state");
        state.setWrapText(true);
        state.getStyleClass().addAll("small");
        last.setId("send-last");
        last.setWrapText(true);
        last.getStyleClass().addAll("quiet", "small");
        bar.setMaxWidth(Double.MAX_VALUE);
        bar.setVisible(false);
        bar.managedProperty().bind(bar.visibleProperty());
        cancel.setVisible(false);
        cancel.managedProperty().bind(cancel.visibleProperty());
        look.setId("send-look");
        send.setId("send-now");
        send.getStyleClass().add("primary");
        back.setId("send-back");
        cancel.setId("send-cancel");
        look.setOnAction(e -> look());
        send.setOnAction(e -> send());
        back.setOnAction(e -> at("Bringing it back…", (s, p) -> {
            s.bringBack();
            return "The version before is back. Do it again to undo that.";
        }));
        cancel.setOnAction(e -> giveUp.run());
        getChildren().addAll(Words.section("Send to"), new NamedRow("Place", kind), new NamedRow("Address", address), new NamedRow("Name", user),
                new NamedRow("Folder", folder), last, bar, state, new FlowPane(6, 6, look, send, back, cancel));
        HBox.setHgrow(kind, Priority.ALWAYS);
        follow();
    }

    private static void field(TextField f, String id, String words) {
        f.setId(id);
        f.setAccessibleText(words);
        f.setMinWidth(0);
        HBox.setHgrow(f, Priority.ALWAYS);
    }

    /** Another piece may be open, which goes elsewhere. */
    void follow() {
        if (!studio.project().id().equals(piece)) {
            piece = studio.project().id();
            Place p = Place.parse(settings.ofSending(PLACE, piece));
            kind.setValue(p == null ? Place.Kind.PRACTICE : p.kind());
            address.setText(p == null ? "" : p.address());
            user.setText(p == null ? "" : p.user());
            folder.setText(p == null ? studio.project().name().toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-") : p.folder());
            state.setText("");
            shown();
        }
    }

    private void shown() {
        boolean local = kind.getValue() == Place.Kind.FOLDER;
        user.getParent().setVisible(!local);
        user.getParent().setManaged(!local);
        folder.getParent().setVisible(!local);
        folder.getParent().setManaged(!local);
        address.setPromptText(local ? "/where/it/goes" : kind.getValue() == Place.Kind.SFTP ? "sftp://host" : kind.getValue() == Place.Kind.PRACTICE
                ? "http://127.0.0.1:…" : "https://host/path");
        String when = settings.ofSending(LAST, piece);
        last.setText(when == null ? "Not sent yet." + (kind.getValue() == Place.Kind.PRACTICE
                ? " “bin/tundra host DIR” runs a host to practise with." : "") : "Last sent " + when);
    }

    private void look() {
        at("Looking…", (s, progress) -> {
            Sending.Plan plan = s.plan(Makers.page(studio.kept(), output.get(), progress));
            return plan.changed().isEmpty() && plan.removed().isEmpty() ? "Nothing has changed since it was sent." : words(plan)
                    + (plan.removed().isEmpty() ? "" : "\nGone: " + String.join(", ", plan.removed().stream().limit(4).toList())
                    + (plan.removed().size() > 4 ? " …" : ""));
        });
    }

    private static String words(Sending.Plan p) {
        return p.changed().size() + (p.changed().size() == 1 ? " file changes" : " files change") + (p.removed().isEmpty() ? "" : ", " + p.removed()
                .size() + (p.removed().size() == 1 ? " goes" : " go")) + ", " + Made.size(p.bytes()) + " to send.";
    }

    private void send() {
        Project p = studio.kept();
        Output o = output.get();
        at("Sending…", (s, progress) -> {
            var page = Makers.page(p, o, progress.part(0, 0.4));
            Sending.Plan plan = s.send(page, progress.part(0.4, 1));
            String sent = Times.day(System.currentTimeMillis()) + " · " + plan.changed().size() + (plan.changed().size() == 1 ? " file" : " files")
                    + " changed";
            settings.setOfSending(LAST, p.id(), sent);
            return "Sent: " + plan.changed().size() + " changed, " + plan.removed().size() + " gone, " + plan.same() + " as they were.";
        });
    }

    private void at(String doing, Work work) {
        Place place;
        try {
            place = new Place(kind.getValue(), address.getText(), user.getText().strip(), kind.getValue() == Place.Kind.FOLDER ? ""
                    : folder.getText());
        } catch (IllegalArgumentException e) {
            state.setText(e.getMessage());
            return;
        }
        settings.setOfSending(PLACE, piece, place.text());
        busy(true);
        state.setText(doing);
        // a keyring may take its time
        jobs.run(() -> place.kind() == Place.Kind.FOLDER ? "" : Objects.requireNonNullElse(secrets.of(place), ""), known -> {
            String secret = known;
            if (secret.isEmpty() && place.kind() != Place.Kind.FOLDER) {
                secret = dialogs.secret(place.words()).orElse(null);
                if (secret == null) {
                    busy(false);
                    state.setText("Given up; nothing was sent.");
                    return;
                }
            }
            run(place, secret, work);
        });
    }

    private record Ended(String words, boolean good) {}

    private void run(Place place, String secret, Work work) {
        giveUp = jobs.start(progress -> {
            try (Sending s = Sending.to(place, secret, new KnownHosts(settings::knownHost, settings::setKnownHost))) {
                String words = work.at(s, progress);
                if (!secret.isEmpty()) {
                    secrets.keep(place, secret);
                }
                return new Ended(words, true);
            } catch (CancellationException e) {
                throw e;
            } catch (Exception e) {
                if (e.getMessage() != null && e.getMessage().contains("name and secret")) {
                    secrets.forget(place);
                }
                return new Ended(Troubles.sentence(e), false);
            }
        }, bar::setProgress, ended -> {
            busy(false);
            state.setText(ended.words);
            shown();
            if (ended.good && ended.words.startsWith("Sent")) {
                notices.news("The page is sent to " + place.words() + ".");
            }
        }, () -> {
            busy(false);
            state.setText("Given up; the page that was there is as it was.");
        });
    }

    private void busy(boolean on) {
        for (Button b : List.of(look, send, back)) {
            b.setDisable(on);
        }
        bar.setVisible(on);
        bar.setProgress(-1);
        cancel.setVisible(on);
    }
}
