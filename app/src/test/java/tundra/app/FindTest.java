package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.reflect.Field;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import tundra.app.command.Command;
import tundra.app.command.CommandIds;
import tundra.app.studio.Desk;
import tundra.core.geometry.Point;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Finding anything by name, as quickly as a hand types. */
class FindTest extends InWindow {
    /** What people type, and what they mean by it: with one of two rectangles selected that has a motion path. */
    private static final String TYPED = """
            undo=undo; redo=redo; copy=copy; paste=paste; cut=cut; duplicate=duplicate; clone=duplicate; copy in place=duplicate-here; delete=delete; remove=delete;
            erase=delete; select all=select-all; deselect=select-none; group=group; ungroup=ungroup; rename=rename; lock=lock; unlock=lock; hide=hide; visible=hide;
            front=front; back=back; to front=front; send back=back; raise=front; layer up=forward; z order=front; align=align-LEFT; align left=align-LEFT;
            centre=align-CENTRE; center=align-CENTRE; middle=pivot-middle; distribute=distribute-level; space evenly=distribute-level; match width=match-width;
            same size=match-size; flip=flip-level; mirror=path-mirror; reflect=flip-level; rotate=turn-right; turn=to-path; rotate 90=turn-right; pivot=pivot-middle;
            anchor=pivot-middle; origin=pivot-middle; rectangle=tool-RECTANGLE; square=tool-RECTANGLE; circle=tool-ELLIPSE; ellipse=tool-ELLIPSE; line=tool-LINE;
            pen=tool-PEN; pencil=tool-FREEHAND; brush=tool-BRUSH; text=tool-TEXT; type=tool-TEXT; polygon=tool-POLYGON; star=tool-POLYGON; triangle=tool-POLYGON;
            eyedropper=tool-PICK; pick colour=tool-PICK; color picker=tool-PICK; bucket=tool-FILL; fill=tool-FILL; gradient=tool-GRADIENT; hand=tool-HAND;
            pan=tool-HAND; zoom=tool-ZOOM; zoom in=zoom-in; zoom out=zoom-out; fit=fit; 100%=actual-size; actual size=actual-size; nodes=tool-NODES; points=to-path;
            vertices=to-path; smooth=nodes-smooth; corner=nodes-corner; join=nodes-join; close path=path-close; union=combine-UNION; merge shapes=combine-UNION;
            combine=combine-UNION; subtract=combine-SUBTRACT; intersect=combine-INTERSECT; exclude=combine-EXCLUDE; outline stroke=outline-stroke;
            expand stroke=outline-stroke; convert to path=to-path; trace=trace; vectorise=trace; import=bring-in; place picture=bring-in; open=open; save=save;
            save as=save-as; export=desk-PUBLISH; publish=desk-PUBLISH; new=new; quit=quit; exit=quit; preview=try; play=play; pause=play; stop=play; start=to-start;
            loop=loop; keyframe=key; add key=key; key all=key-all; next key=key-forward; previous key=key-back; reverse=keys-reverse; linear=keys-even;
            ease=pick-easing; easing=pick-easing; curve=lane-grow; curve editor=lane-grow; graph=lane-grow; motion path=path-close; path=to-path;
            split position=position-split; timeline=new-timeline; new timeline=new-timeline; marker=marker; cue=cue; label=marker; fps=frame-rate;
            frame rate=frame-rate; one frame forward=frame-forward; frame back=frame-back; trim=shown-from; seen from here=shown-from; duration=duration;
            scene=scene-add; new scene=scene-add; page=make-page|block-page|scene-add; slide=scene-add; next scene=scene-next; motif=motif-new; symbol=motif-make; component=motif-make;
            button=button-make; make button=button-make; instance=motif-make; own clock=clock-own; phase=phase-spread; random phase=phase-shuffle; scatter=scatter;
            spread=phase-spread; bounce=helper-Bounce; swing=helper-Swing; pendulum=helper-Swing; float=helper-Drift; drift=helper-Drift; stagger=helper-Stagger;
            fade in=helper-Appear; appear=helper-Appear; fade out=helper-Leave; disappear=helper-Leave; flying dash=helper-Flying dash; parallax=helper-Passes by;
            scroll=helper-Passes by; background loop=helper-Passes by; effect=effect-BLUR; blur=effect-BLUR; shadow=effect-DROP_SHADOW;
            drop shadow=effect-DROP_SHADOW; glow=effect-DROP_SHADOW; brightness=effect-BRIGHTNESS; tint=effect-TINT; hue=effect-HUE; invert=effect-INVERT;
            long shadow=effect-LONG_SHADOW; flipbook=flipbook; frame by frame=flipbook; onion=onion-outlines; onion skin=onion-outlines;
            drawing=drawing-new|drawing-before|drawing-next|drawings-all; new drawing=drawing-new; blank frame=drawing-new; hold longer=drawing-longer; sprite=sheet;
            sprite sheet=sheet|make-sheet; sheet=sheet|make-sheet; sound=bring-in|block-sound; video=block-video; film=block-video|make-film; mp4=make-film|block-video; gif=make-loop; gallery=block-strip|block-stack|gallery-fill; slideshow=block-stack|block-strip; carousel=block-turntable|block-strip; map=block-map; telephone=block-call; email=block-mail; form=block-field; checkbox=block-tick; radio=block-choice; transition=ways; flow=ways; audio=bring-in; music=bring-in; reaction=add-piece-reaction; event=add-reaction; click=add-reaction;
            tap=add-reaction; hover=add-reaction; drag=match-pairs; drag and drop=match-pairs; match pairs=match-pairs; puzzle=match-pairs; value=value-new;
            variable=value-new; score=value-new; script=script-new; code=script-new; javascript=script-new; menu=open-close; dropdown=open-close; hotspot=tool-TOUCH;
            touch area=tool-TOUCH; checks=checks; errors=checks; dark=theme; dark mode=theme; light=theme; theme=theme; rulers=rulers; guides=rulers;
            swatches=read-swatches; palette=read-swatches; font=bring-in; solo=solo; isolate=solo; repeat=loop; hold one frame=drawing-longer;
            rest=rest-as-first-keys; touch=tool-TOUCH; walk left=path-mirror; draw path=tool-PEN; copy move=copy-move; paste move=paste-keys; fold=fold-all;
            collapse=fold-all; speed=keys-even; constant speed=keys-even; desk=desk-DRAW; animate=desk-ANIMATE; draw=desk-DRAW; interact=desk-INTERACT;
            """;

    @SuppressWarnings("unchecked")
    private List<String> found() throws Exception {
        return RealWindow.fx(() -> ((ListView<Command>) t.node("find-list")).getItems().stream().map(c -> c.name().get()).toList());
    }

    private List<String> find(String words) throws Exception {
        RealWindow.fx(() -> {
            ((TextField) t.node("find-query")).setText(words);
            return null;
        });
        return found();
    }

    /** Each key goes down before the window has dealt with the one before. */
    @Test
    void lettersStayInTheirOrderHoweverQuicklyTheyAreTyped() throws Exception {
        t.run("flipbook");
        t.keys(KeyCode.CONTROL, KeyCode.K);
        for (int round = 0; round < 4; round++) {
            RealWindow.fx(() -> {
                ((TextField) t.node("find-query")).clear();
                return null;
            });
            t.burst("reaction");
            t.until(() -> ((TextField) t.stage.getScene().lookup("#find-query")).getText().length() == 8);
            assertThat(RealWindow.fx(() -> ((TextField) t.node("find-query")).getText())).isEqualTo("reaction");
        }
    }

    @Test
    void whatIsNamedSoComesFirstAndUndoOnlyByItsWord() throws Exception {
        t.keys(KeyCode.R);
        t.drag(t.canvas(100, 100), t.canvas(200, 160));
        t.run("duplicate");
        t.keys(KeyCode.CONTROL, KeyCode.K);
        assertThat(find("duplicate").getFirst()).startsWith("Duplicate");
        assertThat(find("duplicate")).noneMatch(n -> n.startsWith("Undo"));
        assertThat(find("undo").getFirst()).startsWith("Undo duplicate");
        assertThat(find("group").getFirst()).isEqualTo("Group");
    }

    @Test
    void slipsAndOtherWordsAreUnderstood() throws Exception {
        t.keys(KeyCode.R);
        t.drag(t.canvas(100, 100), t.canvas(200, 160));
        RealWindow.fx(() -> {
            t.studio.setDesk(Desk.INTERACT);
            t.studio.select(List.of());
            return null;
        });
        t.settle();
        t.keys(KeyCode.CONTROL, KeyCode.K);
        assertThat(find("raeciton")).as("two pairs of letters changed places").anyMatch(n -> n.toLowerCase().contains("reaction"));
        RealWindow.fx(() -> {
            t.studio.select(List.of(t.studio.board().elements().getFirst().id()));
            return null;
        });
        assertThat(find("dupilcate")).anyMatch(n -> n.startsWith("Duplicate"));
        assertThat(find("pivot")).anyMatch(n -> n.startsWith("Pivot to the middle"));
        assertThat(find("rotate")).anyMatch(n -> n.startsWith("Turn a quarter"));
        assertThat(find("to nodes")).anyMatch(n -> n.equals("Turn into path"));
        assertThat(find("dark")).anyMatch(n -> n.equals("Polar night theme"));
        assertThat(find("night").getFirst()).isEqualTo("Polar night theme");
        assertThat(find("publish").getFirst()).isEqualTo("Publish desk");
        assertThat(find("delete").getFirst()).startsWith("Delete");
    }

    @Test
    void nothingFoundSaysSoAndOffersTheNearest() throws Exception {
        t.keys(KeyCode.CONTROL, KeyCode.K);
        assertThat(find("qqwertzu")).isNotEmpty();
        assertThat(RealWindow.fx(() -> ((Label) t.node("find-nothing")).getText())).contains("Nothing is called «qqwertzu»");
        assertThat(RealWindow.fx(() -> t.node("find-nothing").isVisible())).isTrue();
        find("zoom");
        assertThat(RealWindow.fx(() -> t.node("find-nothing").isVisible())).isFalse();
    }

    @Test
    void everyCommandThatSomethingCallsIsThere() throws Exception {
        for (Field f : CommandIds.class.getFields()) {
            String id = (String) f.get(null);
            boolean one = t.w.commands.all().stream().anyMatch(c -> id.endsWith("-") ? c.id().startsWith(id) : c.id().equals(id));
            assertThat(one).as(id).isTrue();
        }
    }

    @Test
    void whatPeopleTypeFindsWhatTheyMean() throws Exception {
        var track = new Track<>(List.of(new Key<>(0, new Point(100, 100), Easing.LINEAR), new Key<>(1_000_000, new Point(300, 100), Easing.LINEAR)));
        animate(new Timeline("main", Timeline.MAIN, 2_000_000, false, true, Map.of()).with("box", Properties.POSITION, track),
                box("box", "Kite", 200), box("two", "Sail", 400));
        var wrong = new ArrayList<String>();
        int[] asked = new int[1];
        RealWindow.fx(() -> {
            for (String line : TYPED.strip().split(";\\s*")) {
                String[] pair = line.strip().split("=");
                List<Command> found = t.w.commands.find(pair[0]).commands();
                asked[0]++;
                if (found.isEmpty() || !List.of(pair[1].split("\\|")).contains(found.getFirst().id())) {
                    wrong.add(pair[0] + " finds " + found.stream().limit(2).map(Command::id).toList() + " instead of " + pair[1]);
                }
            }
            return null;
        });
        assertThat(asked[0]).isGreaterThan(150);
        assertThat(wrong).isEmpty();
    }

    /** What can't be done now is found and says so; Enter on it does nothing. */
    @Test
    void whatCannotBeDoneNowSaysSo() throws Exception {
        t.keys(KeyCode.CONTROL, KeyCode.K);
        assertThat(find("ungroup").getFirst()).isEqualTo("Take group apart");
        t.keys(KeyCode.ENTER);
        assertThat(RealWindow.fx(() -> ((Label) t.node("find-nothing")).getText())).contains("can't be done now");
        assertThat(RealWindow.fx(() -> t.studio.history().undoName())).isNull();
        assertThat(RealWindow.fx(() -> t.node("find-query").isVisible())).isTrue();
        find("frame rate");
        t.keys(KeyCode.ENTER);
        t.untilTyping();
    }

    private static Element box(String id, String name, double x) {
        return new Element(id, name, false, false, Values.NONE.with(Properties.POSITION, new Point(x, 200)).with(Properties.SIZE, new Point(80, 60))
                .with(Properties.FILL, Color.BLACK), new Content.Rectangle());
    }
}
