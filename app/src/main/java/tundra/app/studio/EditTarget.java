package tundra.app.studio;

import java.util.Comparator;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import tundra.core.edit.EditScope;
import tundra.core.edit.PropertyEdit;
import tundra.core.edit.Resting;
import tundra.core.edit.SplitPosition;
import tundra.core.model.Board;
import tundra.core.model.Element;
import tundra.core.model.Motif;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.States;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** Where a change of a property goes: to a key, the whole move, the resting value, or one look of a button; and what that would do, in words. */
public final class EditTarget {
    private final Studio studio;
    private EditScope scope = EditScope.KEY;
    private PropertyEdit.FirstKey firstKey = PropertyEdit.FirstKey.FROM_START;
    private boolean oneLook;
    private String pointed;

    EditTarget(Studio studio) {
        this.studio = studio;
    }

    /** Sets what is to be seen at the playhead, where the edit scope says. */
    public <T> void set(String name, Object merge, String element, Property<T> p, T value) {
        studio.edit(name, merge, b -> set(b, element, p, value));
    }

    public <T> Board set(Board b, String element, Property<T> p, T value) {
        return propertyEdit(element, p).set(b, element, p, value);
    }

    /** How a property of an element is changed now: outside of the Animate desk a change is for the whole move. */
    public PropertyEdit propertyEdit(String element, Property<?> p) {
        if (oneLook()) {
            return new PropertyEdit(studio.board().main().id(), studio.time().playhead(), EditScope.KEY, firstKey)
                    .keeping(((Motif) studio.place()).states()
                    .at().values());
        }
        String on = studio.time().moving(element, p).id();
        // what belongs to the whole way is keyed only by its own button
        boolean whole = (p == Properties.FACE_PATH || p == Properties.FRONT) && studio.board().timeline(on).track(element, p) == null;
        return new PropertyEdit(on, studio.time().playhead(), studio.picture().atRest() ? EditScope.REST : studio.desk() != Desk.ANIMATE || whole
                ? EditScope.WHOLE_MOVE : scope, firstKey);
    }

    public <T> T valueAt(String element, Property<T> p) {
        return studio.picture().valuesOf(element).get(p);
    }

    /** What a field shows of a property: what rests where changes go there, else what is seen. */
    public <T> T shownValue(String element, Property<T> p) {
        return studio.desk() == Desk.ANIMATE && scope == EditScope.REST ? Resting.of(studio.board(), element, p) : valueAt(element, p);
    }

    /** What fields show of the properties of any owner, for asking after many at once; until something changes. */
    public Function<String, Values> shownValues() {
        Board b = studio.board();
        return studio.desk() == Desk.ANIMATE && scope == EditScope.REST ? b::rest : studio.picture().valuesNow();
    }

    /** The look of the open motif that stands at the playhead; null for none. */
    public States.State look() {
        return !studio.time().playing() && studio.place() instanceof Motif m && m.states() != null ? m.states().at().entrySet().stream()
                .filter(e -> e.getValue() == studio.time().playhead()).map(Map.Entry::getKey)
                .min(Comparator.naturalOrder()).orElse(null) : null;
    }

    /** Whether changes while drawing go to the look at the playhead alone. */
    public boolean oneLook() {
        return oneLook && studio.desk() == Desk.DRAW && look() != null;
    }

    public void setOneLook(boolean alone) {
        if (oneLook != alone) {
            oneLook = alone;
            studio.changed(Aspect.SCOPE);
        }
    }

    /** A board after a drag that leads from the value that was seen to another one. */
    public <T> Board drag(Board b, String element, Property<T> p, T from, T to) {
        return propertyEdit(element, p).drag(b, element, p, from, to);
    }

    public EditScope scope() {
        return scope;
    }

    public void setScope(EditScope s) {
        scope = s;
        studio.changed(Aspect.SCOPE);
    }

    /** What becomes of the time before the first key of a property. */
    public PropertyEdit.FirstKey firstKey() {
        return firstKey;
    }

    /** Whether a change of the selected element would set its first key, later than the start. */
    public boolean firstKeyAsked() {
        Element e = studio.selected();
        return e != null && studio.desk() == Desk.ANIMATE && scope == EditScope.KEY && studio.time().playhead() > 0
                && studio.time().moving(e.id(), Properties.POSITION).track(e.id(), Properties.POSITION) == null
                && !SplitPosition.is(studio.timeline(),
                e.id());
    }

    public void setFirstKey(PropertyEdit.FirstKey f) {
        firstKey = f;
        studio.changed(Aspect.SCOPE);
    }

    /** Says what a drag of something that the pointer is over would do, where that is not the selection; null for nothing. */
    public void setPointed(String words) {
        if (!Objects.equals(words, pointed)) {
            pointed = words;
            studio.changed(Aspect.SCOPE);
        }
    }

    /** What dragging the selection would do now, in words. */
    public String consequence() {
        if (pointed != null) {
            return pointed;
        }
        Element e = studio.selected();
        if (e == null) {
            return studio.selection().isEmpty() ? "select something to see what a change would do"
                    : "dragging changes " + studio.selection().size() + " elements";
        }
        Timeline t = studio.time().moving(e.id(), Properties.POSITION);
        String words = propertyEdit(e.id(), Properties.POSITION).consequence(studio.board(), e);
        String told = t == studio.timeline() ? words : words + " on " + t.name();
        return studio.layout() == null ? told : told + (studio.layout.everywhere() ? " in every layout" : " in " + studio.layout().name() + " alone");
    }
}
