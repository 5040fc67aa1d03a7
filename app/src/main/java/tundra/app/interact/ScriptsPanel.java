package tundra.app.interact;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Executor;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.geometry.Bounds;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import org.fxmisc.flowless.VirtualizedScrollPane;
import org.fxmisc.richtext.CodeArea;
import org.fxmisc.richtext.LineNumberFactory;
import tundra.app.job.Work;
import tundra.app.studio.Aspect;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.app.widget.Menus;
import tundra.app.widget.LightButton;
import tundra.app.widget.Words;
import tundra.core.edit.Reactions;
import tundra.core.edit.ScriptApi;
import tundra.core.edit.Scripts;
import tundra.core.model.Project;
import tundra.core.model.Script;

/** The scripts of the piece: each a function, with colours, completion of names, and what is wrong with it while it is typed. */
public final class ScriptsPanel extends VBox {
    private static final Pattern BEFORE =
            Pattern.compile("(?:\\bpage\\s*\\.\\s*(?<named>find|timeline|value|set|open)\\(\\s*[\"'](?<name>[^\"'\\n]*)|\\bpage\\s*\\.\\s*(?<of>find|timeline)\\([^()\\n]*\\)\\s*\\.\\s*(?<member>[A-Za-z]*)|\\bpage\\s*\\.\\s*(?<page>[A-Za-z]*))$");
    private final Studio studio;
    private final HBox tabs = new HBox(4);
    private final Label state = new Label();
    private final CodeArea code = new CodeArea();
    private final VBox body = new VBox(6);
    private final HBox searching = new HBox(6);
    private final TextField sought = new TextField(), by = new TextField();
    private final Executor reader = Work.line("scripts read");
    private final PauseTransition pause = new PauseTransition(Duration.millis(350));
    private List<Scripts.Problem> problems = List.of();
    private String shown;
    /** The text that was read last, and why it could not be; null when it could. */
    private String readOf;
    private Scripts.Problem unread;
    private Object typing = new Object();
    private boolean showing;

    public ScriptsPanel(Studio studio) {
        super(6);
        this.studio = studio;
        setId("scripts");
        getStyleClass().addAll("log-panel", "scripts");
        state.setId("script-state");
        state.getStyleClass().addAll("quiet", "small");
        var gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        var head = new HBox(8, Words.section("Scripts"), tabs, gap, state);
        head.setAlignment(Pos.CENTER_LEFT);
        code.setId("script-code");
        code.getStyleClass().add("code");
        code.setParagraphGraphicFactory(LineNumberFactory.get(code));
        code.setAccessibleText("Script");
        code.textProperty().addListener((o, was, is) -> typed());
        code.focusedProperty().addListener((o, was, is) -> {
            if (!is) {
                keep();
                typing = new Object();
            }
        });
        pause.setOnFinished(e -> {
            keep();
            look(true);
        });
        code.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        var scroll = new VirtualizedScrollPane<>(code);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        search();
        body.getChildren().addAll(searching, scroll);
        VBox.setVgrow(body, Priority.ALWAYS);
        getChildren().addAll(head, body);
        studio.listen(what -> {
            if (what.contains(Aspect.DOCUMENT) || what.contains(Aspect.FILE)) {
                refresh();
            }
        });
        refresh();
    }

    private void search() {
        sought.setPromptText("Find");
        sought.setId("script-find");
        by.setPromptText("Replace by");
        by.setId("script-replace");
        var next = new Button("Next");
        next.setOnAction(e -> next());
        sought.setOnAction(e -> next());
        var all = new Button("Replace all");
        all.setId("script-replace-all");
        all.setOnAction(e -> {
            if (!sought.getText().isEmpty()) {
                code.replaceText(code.getText().replace(sought.getText(), by.getText()));
                keep();
            }
        });
        var close = new Button("Close");
        close.setOnAction(e -> searching(false));
        searching.getChildren().addAll(sought, next, by, all, close);
        searching(false);
    }

    private void searching(boolean on) {
        searching.setVisible(on);
        searching.setManaged(on);
        (on ? sought : code).requestFocus();
    }

    private void next() {
        String words = sought.getText();
        int at = words.isEmpty() ? -1 : code.getText().indexOf(words, code.getCaretPosition());
        at = at < 0 && !words.isEmpty() ? code.getText().indexOf(words) : at;
        if (at >= 0) {
            code.selectRange(at, at + words.length());
            code.requestFollowCaret();
        }
    }

    private Script script() {
        Project p = studio.project();
        Script s = shown == null ? null : p.script(shown);
        return s != null ? s : p.scripts().isEmpty() ? null : p.scripts().getFirst();
    }

    private void refresh() {
        Script now = script();
        tabs.getChildren().clear();
        for (Script s : studio.project().scripts()) {
            var tab = new LightButton(s.name());
            tab.setId("script-" + s.name());
            tab.getStyleClass().addAll("small-press", "script-tab");
            tab.setSelected(s == now);
            tab.setOnAction(() -> {
                keep();
                shown = s.id();
                refresh();
            });
            Menus.on(tab, () -> menu(s));
            tabs.getChildren().add(tab);
        }
        var add = new LightButton("+");
        add.setId("script-add");
        add.getStyleClass().add("small-press");
        add.setAccessibleText("New script");
        Buttons.tip(add, "A function in JavaScript that reactions can run");
        add.setOnAction(() -> Picker.type(add, "", "What the function is called, such as celebrate.", t -> t.strip().matches(Script.NAME) ? null
                : "Letters and digits, beginning with a letter.", this::add));
        tabs.getChildren().add(add);
        code.setDisable(now == null);
        shown = now == null ? null : now.id();
        String source = now == null ? "" : now.source();
        if (!code.getText().equals(source)) {
            showing = true;
            int caret = code.getCaretPosition();
            code.replaceText(source);
            code.moveTo(Math.min(caret, source.length()));
            code.getUndoManager().forgetHistory();
            showing = false;
        }
        look(false);
    }

    /** A new script under a name that no other has, with the keyboard in it. */
    public void addOne() {
        int n = 1;
        while (taken("script" + (n == 1 ? "" : n))) {
            n++;
        }
        add("script" + (n == 1 ? "" : n));
    }

    private boolean taken(String name) {
        return studio.project().scripts().stream().anyMatch(s -> s.name().equals(name));
    }

    private void add(String name) {
        studio.editProject("New script " + name.strip(), null, p -> Scripts.add(p, name.strip()));
        shown = studio.project().scripts().getLast().id();
        refresh();
        code.requestFocus();
        int line = code.getText().indexOf('\n') + 3;
        code.moveTo(Math.min(line, code.getLength()));
    }

    private ContextMenu menu(Script s) {
        var rename = new MenuItem("Rename…");
        rename.setId("script-rename");
        rename.setOnAction(e -> Picker.type(tabs, s.name(), "What the function is called.", t -> t.strip().matches(Script.NAME) ? null
                : "Letters and digits, beginning with a letter.",
                name -> studio.editProject("Rename script " + s.name(), null, p -> Scripts.rename(p, s.id(), name.strip()))));
        int named = Reactions.naming(studio.project(), s.id());
        var delete = new MenuItem(named == 0 ? "Delete" : "Delete, with what runs it in " + (named == 1 ? "one reaction" : named + " reactions"));
        delete.setId("script-delete");
        delete.setOnAction(e -> studio.editProject("Delete script " + s.name(), null, p -> Scripts.delete(p, s.id())));
        var comments = new CheckMenuItem("Publish its comments");
        comments.setId("script-comments");
        comments.setSelected(s.comments());
        comments.setOnAction(e -> studio.editProject(comments.isSelected() ? "Publish comments" : "Leave comments out", null,
                p -> Scripts.comments(p, s.id(), comments.isSelected())));
        return new ContextMenu(rename, comments, delete);
    }

    private void typed() {
        if (!showing) {
            pause.playFromStart();
            paint();
        }
    }

    /** Puts what was typed into the piece. */
    private void keep() {
        Script s = shown == null ? null : studio.project().script(shown);
        String text = code.getText();
        if (s != null && !s.source().equals(text)) {
            studio.editProject("Edit script " + s.name(), typing, p -> Scripts.source(p, s.id(), text));
        }
    }

    private void look(boolean read) {
        Script s = script();
        var found = new ArrayList<Scripts.Problem>();
        if (s != null) {
            found.addAll(Scripts.problems(studio.project(), s.withSource(code.getText())));
            if (read) {
                read(code.getText());
            }
            if (unread != null && code.getText().equals(readOf)) {
                found.addFirst(unread);
            }
        }
        problems = found;
        state.setText(s == null ? "none yet" : found.isEmpty() ? "no problems" : found.size() == 1 ? found.getFirst().text() : found.getFirst()
                .text() + " And " + (found.size() - 1) + " more.");
        state.getStyleClass().remove("problem-text");
        if (!found.isEmpty()) {
            state.getStyleClass().add("problem-text");
        }
        paint();
    }

    /** Reads a text beside the interface thread and shows what is wrong with it if it is still there. */
    private void read(String text) {
        reader.execute(() -> {
            Scripts.Problem problem = ScriptSyntax.unreadable(text);
            Platform.runLater(() -> {
                readOf = text;
                unread = problem;
                if (script() != null && code.getText().equals(text)) {
                    look(false);
                }
            });
        });
    }

    private void paint() {
        if (code.getLength() > 0) {
            code.setStyleSpans(0, ScriptSyntax.spans(code.getText(), problems));
        }
    }

    private void key(KeyEvent e) {
        if (e.isShortcutDown() && e.getCode() == KeyCode.SPACE) {
            complete();
            e.consume();
        } else if (e.isShortcutDown() && e.getCode() == KeyCode.F) {
            searching(true);
            e.consume();
        } else if (e.getCode() == KeyCode.TAB && !e.isShiftDown()) {
            code.replaceSelection("  ");
            e.consume();
        }
    }

    /** Shows the fields to find and replace. */
    public void find() {
        searching(true);
    }

    /** What could stand at the caret: members of the page, or names of the piece. */
    public void complete() {
        code.requestFocus();
        String before = code.getText(0, code.getCaretPosition());
        Matcher m = BEFORE.matcher(before);
        if (!m.find()) {
            return;
        }
        String begun = m.group("named") != null ? m.group("name") : m.group("of") != null ? m.group("member") : m.group("page");
        var all = new ArrayList<String[]>();
        if (m.group("named") != null) {
            Scripts.names(studio.project()).get(m.group("named")).forEach(n -> all.add(new String[] {n, n}));
        } else {
            String of = m.group("of") == null ? "page" : m.group("of").equals("find") ? "element" : "timeline";
            ScriptApi.ALL.stream().filter(x -> x.of().equals(of)).forEach(x -> all.add(new String[] {x.name(), x.signature()}));
        }
        var completing = new ContextMenu();
        completing.setId("script-completion");
        all.stream().filter(x -> x[0].toLowerCase(Locale.ROOT).startsWith(begun.toLowerCase(Locale.ROOT))).limit(14).forEach(x -> {
            var item = new MenuItem(x[1]);
            item.setId("complete-" + x[0]);
            item.setMnemonicParsing(false);
            item.setOnAction(e -> code.replaceText(code.getCaretPosition() - begun.length(), code.getCaretPosition(), x[0]));
            completing.getItems().add(item);
        });
        Bounds at = code.getCaretBounds().orElse(null);
        if (at != null && !completing.getItems().isEmpty()) {
            // above the line where there is no room in the window below it
            completing.setOnShown(e -> {
                var window = code.getScene().getWindow();
                if (completing.getY() + completing.getHeight() > window.getY() + window.getHeight()) {
                    completing.setY(at.getMinY() - completing.getHeight() - 2);
                }
            });
            completing.show(code, at.getMinX(), at.getMaxY() + 2);
        }
    }
}
