package tundra.app;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Control;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.text.Text;
import javafx.stage.Window;
import tundra.app.command.Command;
import tundra.app.help.HelpPage;
import tundra.app.studio.Desk;
import tundra.app.tool.ToolKind;
import tundra.app.widget.LightButton;
import tundra.app.widget.LightLabel;
import tundra.app.widget.WholeWords;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Project;
import tundra.core.model.Tree;

/** Goes through the window and collects the words that are seen in it. */
final class WindowWords {
    final Set<String> seen = new TreeSet<>();
    /** Where words have no room, by the place. */
    final Set<String> cut = new TreeSet<>();
    /** Those of buttons, and those that can't be read by pointing at them either. */
    final Set<String> lost = new TreeSet<>();
    private final RealWindow t;

    WindowWords(RealWindow t) {
        this.t = t;
    }

    private void node(Node n) {
        if (!n.isVisible() || n.getClass().getName().contains("CodeArea")) {
            return;
        }
        if (n instanceof Text x) {
            room(x);
        }
        if (n instanceof LightLabel c) {
            word(c.getText());
        } else if (n instanceof Labeled l) {
            word(l.getText());
        } else if (n instanceof Text x && !n.getClass().getSimpleName().equals("LabeledText") && !(n.getParent() instanceof LightLabel)) {
            word(x.getText());
        } else if (n instanceof TextInputControl f) {
            word(f.getPromptText());
            word(n.getAccessibleText());
            return;
        }
        word(n.getAccessibleText());
        if (n instanceof Control c && c.getTooltip() != null) {
            word(c.getTooltip().getText());
        }
        n.getProperties().forEach((k, v) -> {
            if (String.valueOf(k).contains("tip") && v instanceof String s) {
                word(s);
            }
        });
        if (n instanceof Parent p) {
            p.getChildrenUnmodifiable().forEach(this::node);
        }
    }

    /** Words that end by dots which nobody wrote have no room; where pointing at them tells something of their own it is their button's. */
    private void room(Text x) {
        Node of = x.getParent();
        String whole = of instanceof LightLabel c ? c.getText() : of instanceof Labeled l ? l.getText() : null;
        String shown = x.getText();
        if (whole == null || whole.isBlank() || !shown.isEmpty() && !shown.endsWith("…") && !shown.endsWith("...") || whole.endsWith("…")
                && !shown.isEmpty() || shown.isEmpty() && whole.length() < 3 || of.getLayoutBounds().getWidth() == 0) {
            return;
        }
        for (Node n = of; n != null; n = n.getParent()) {
            if (!n.isVisible() || n instanceof Control c && c.getTooltip() != null || n.getProperties().keySet().stream()
                    .anyMatch(k -> String.valueOf(k).contains("tip"))) {
                return;
            }
        }
        String place = "";
        for (Node n = of; n != null; n = n.getParent()) {
            if (n.getId() != null) {
                place = n.getId();
                break;
            }
        }
        boolean button = false;
        for (Node n = of; n != null && !button; n = n.getParent()) {
            button = n instanceof ButtonBase || n instanceof LightButton;
        }
        (button || WholeWords.whole(of) == null ? lost : cut).add(place + ": " + whole + " → " + shown);
    }

    private void word(String s) {
        if (s != null && s.matches("(?s).*[A-Za-z]{2}.*")) {
            seen.add(s);
        }
    }

    /** What all windows show now. */
    void look() throws Exception {
        t.settle();
        RealWindow.fx(() -> {
            Window.getWindows().forEach(w -> {
                if (w.getScene() != null) {
                    node(w.getScene().getRoot());
                }
            });
            return null;
        });
    }

    private void on(Runnable work) throws Exception {
        RealWindow.fx(() -> {
            work.run();
            return null;
        });
    }

    /** All desks with each kind of element selected, all panels, all commands. */
    void everything(Project p) throws Exception {
        on(() -> t.studio.open(p, null));
        for (Desk d : Desk.values()) {
            on(() -> t.studio.setDesk(d));
            look();
            if (d == Desk.PUBLISH) {
                continue;
            }
            for (var place : p.places()) {
                on(() -> t.studio.navigation().showPlace(place.id()));
                Set<Object> kinds = new HashSet<>();
                var some = new ArrayList<String>();
                Tree.each(place.board().elements(), e -> {
                    if (kinds.add(kind(e))) {
                        some.add(e.id());
                    }
                });
                for (String id : some) {
                    on(() -> t.studio.select(List.of(id)));
                    look();
                }
                on(() -> t.studio.select(some.size() > 1 ? some.subList(0, 2) : List.of()));
                look();
            }
        }
        on(() -> t.studio.navigation().showPlace(p.scenes().getFirst().id()));
        on(() -> t.studio.setDesk(Desk.DRAW));
        for (String panel : List.of("start-page", "shortcuts", "earlier-versions", "ways", "find", "checks", "history", "help", "lesson")) {
            on(() -> t.w.commands.run(panel));
            look();
            t.keys(KeyCode.ESCAPE);
            t.settle();
        }
        for (Command c : t.w.commands.all()) {
            word(RealWindow.fx(() -> c.name().get()));
        }
        HelpPage.ALL.forEach(h -> {
            word(h.title());
            word(h.purpose());
            h.things().forEach(this::word);
        });
        for (var tool : ToolKind.values()) {
            on(() -> t.w.tools.take(tool));
            look();
        }
    }

    private static Object kind(Element e) {
        return e.content() instanceof Content.Block b ? b.kind() : e.content().getClass();
    }

    /** Names and texts that somebody gave to something in a piece. */
    static Set<String> own(Project p) {
        Set<String> out = new HashSet<>();
        out.add(p.name());
        p.places().forEach(x -> {
            out.add(x.name());
            Tree.each(x.board().elements(), e -> {
                out.add(e.name());
                if (e.content() instanceof Content.Text text) {
                    out.add(text.text());
                }
            });
            x.board().timelines().forEach(tl -> {
                out.add(tl.name());
                tl.markers().forEach(m -> out.add(m.name()));
            });
            x.board().layouts().forEach(l -> out.add(l.name()));
        });
        p.values().forEach(v -> out.add(v.name()));
        p.scripts().forEach(v -> out.add(v.name()));
        p.outputs().forEach(o -> out.add(o.name()));
        p.assets().values().forEach(a -> out.add(a.name()));
        return out;
    }
}
