package tundra.app.interact;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Predicate;
import javafx.scene.control.Button;
import javafx.scene.control.Labeled;
import tundra.app.studio.Studio;
import tundra.app.widget.Translated;
import tundra.core.edit.Arithmetic;
import tundra.core.edit.Draggings;
import tundra.core.edit.Motifs;
import tundra.core.edit.Reactions;
import tundra.core.edit.SlotDefaults;
import tundra.core.edit.SettingText;
import tundra.core.edit.TimeText;
import tundra.core.geometry.Numbers;
import tundra.core.model.Asset;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.Links;
import tundra.core.model.Marker;
import tundra.core.model.PieceValue;
import tundra.core.model.Setting;
import tundra.core.model.Slot;
import tundra.core.model.Slots;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;
import tundra.core.motion.NamedEasing;

/** The word in a slot of a sentence; it opens what may stand there instead. */
final class SlotChip {
    private final ReactionSite site;
    private final Studio studio;
    private final Slot slot;
    private final Slots slots;
    private final Consumer<Slots> change;
    private final Object now;
    private final Button chip;

    /** @param change gets the slots with another word in this one */
    private SlotChip(ReactionSite site, Slot slot, Slots slots, Consumer<Slots> change) {
        this.site = site;
        studio = site.studio();
        this.slot = slot;
        this.slots = slots;
        this.change = change;
        now = slots.get(slot);
        chip = new Button(site.sentences().word(slot, now));
        if (slot.type() != Slot.Type.CHOICE && slot.type() != Slot.Type.TRANSITION) {
            // a name, a number, a text of somebody's own
            Translated.own(chip);
        }
        chip.setId("chip-" + slot.key());
        chip.setMnemonicParsing(false);
        chip.getStyleClass().addAll("chip", look());
        chip.setOnAction(e -> open());
    }

    static Labeled of(ReactionSite site, Slot slot, Slots slots, Consumer<Slots> change) {
        return new SlotChip(site, slot, slots, change).chip;
    }

    private String look() {
        return switch (slot.type()) {
            case ELEMENT, ELEMENTS, SCENE, SOUND -> "chip-space";
            case PLAYER, TIMELINE, MARKER, MOTIF_MARKER, TIME, DURATION -> "chip-time";
            default -> "chip-more";
        };
    }

    private void put(Object v) {
        Slots next = v.equals(now) ? null : near().put(slots, slot, v);
        if (next != null) {
            change.accept(next);
        }
    }

    private SlotDefaults near() {
        return site.near(null);
    }

    private void open() {
        switch (slot.type()) {
            case ELEMENT -> Picker.choose(chip, elements());
            case ELEMENTS -> Picker.choose(chip, several());
            case PLAYER -> Picker.choose(chip, players());
            case TIMELINE -> Picker.choose(chip, site.board().timelines().stream().map(t -> new Picker.Choice(t.name(), () -> put(t.id()))).toList());
            case MARKER -> Picker.choose(chip, markers());
            case MOTIF_MARKER -> Picker.choose(chip, near().markers(slots.values()).stream()
                    .map(id -> new Picker.Choice(Motifs.marker(studio.project(), id).name(), () -> put(id))).toList());
            case TIME -> Picker.choose(chip, times());
            case DURATION -> typed(Numbers.plain((Long) now / 1e6, 3), "In seconds, such as 0.4.",
                    v -> Math.round(Arithmetic.within(v, 0, 86_400) * 1e6));
            case NUMBER -> typed(Numbers.plain((Double) now, 4), "A number from " + Numbers.plain(slot.min(), 2) + " to "
                    + Numbers.plain(slot.max(), 2) + ".", v -> Arithmetic.within(v, slot.min(), slot.max()));
            case TEXT -> typed((String) now, "Any words.", v -> v);
            case CONTENT -> content();
            case CHOICE -> Picker.choose(chip, slot.choices().stream().map(c -> new Picker.Choice(c, () -> put(c))).toList());
            case LAYOUT -> Picker.choose(chip, layouts());
            case SCENE -> Picker.choose(chip, studio.project().scenes().stream().map(s -> new Picker.Choice(s.name(), () -> put(s.id()))).toList());
            case VALUE -> Picker.choose(chip, studio.project().values().stream()
                    .map(v -> new Picker.Choice(v.name(), v.kind().words, () -> put(v.id()))).toList());
            case SCRIPT -> Picker.choose(chip, studio.project().scripts().stream().map(s -> new Picker.Choice(s.name() + "()", () -> put(s.id())))
                    .toList());
            case SOUND -> Picker.choose(chip, studio.project().assets().values().stream().filter(a -> a.kind() == Asset.Kind.SOUND)
                    .map(a -> new Picker.Choice(a.title(), () -> put(a.hash()))).toList());
            case EASING -> Picker.choose(chip, NamedEasing.ALL.stream().map(n -> new Picker.Choice(n.feel(), n.trade(), () -> put(n.easing().text())))
                    .toList());
            case LINK -> checked("A web address, such as https://example.org or ../visit.html.", Links::web,
                    "That is no web address: http, https, or relative to the page.");
            case PHONE -> checked("A telephone number.", Links::phone, "That is no telephone number.");
            case MAIL -> checked("A mail address.", Links::mail, "That is no mail address.");
            case MAP_PLACE -> Picker.choose(chip, near().places().map(n -> new Picker.Choice(n, () -> put(n))).toList());
            case TRANSITION -> Picker.choose(chip, TransitionChoice.of(chip, (String) now, this::put));
            case COLOR, PICTURE, VIDEO, FILE, FONT, DATE, MAP, CAPTIONS -> throw new IllegalStateException("no sentence has a " + slot.type());
            case KEY -> checked("A key's name, such as A, Enter, Space, ArrowLeft or Ctrl+K.", Links::key, "That is no key's name.");
            case SETTING, CHANGE -> Picker.choose(chip, properties(slot.type() == Slot.Type.CHANGE));
        }
    }

    private void checked(String hint, Predicate<String> good, String not) {
        Picker.type(chip, (String) now, hint, v -> good.test(v.strip()) ? null : not, v -> put(v.strip()));
    }

    private void typed(String text, String hint, Function<String, Object> read) {
        Picker.read(chip, text, hint, read, this::put);
    }

    private List<Picker.Choice> layouts() {
        var out = new ArrayList<Picker.Choice>();
        out.add(new Picker.Choice("as drawn", () -> put(Slot.DRAWN)));
        near().layouts().forEach(l -> out.add(new Picker.Choice(l.name(), () -> put(l.id()))));
        return out;
    }

    private List<Picker.Choice> elements() {
        var out = new ArrayList<Picker.Choice>();
        Element selected = studio.selected();
        if (selected != null && !selected.id().equals(now)) {
            out.add(new Picker.Choice(selected.called(), "selected", () -> put(selected.id())));
        }
        if (site.ofMotif() && slot.choices().isEmpty() && slot != Events.PLACE && !now.equals(Slot.INSTANCE)) {
            out.add(new Picker.Choice("this instance", "of the motif", () -> put(Slot.INSTANCE)));
        }
        out.add(new Picker.Choice("Point at it on the canvas…", "", () -> Pointing.next(studio, ids -> put(ids.iterator().next()))));
        Tree.each(site.board().elements(), x -> {
            if (slot.takes(x.content().word()) && near().put(slots, slot, x.id()) != null) {
                out.add(new Picker.Choice(x.called(), x.content().word(), () -> put(x.id())));
            }
        });
        return out;
    }

    private List<Picker.Choice> several() {
        var has = new LinkedHashSet<String>();
        ((List<?>) now).forEach(x -> has.add((String) x));
        var out = new ArrayList<Picker.Choice>();
        has.remove(Slot.EVERYTHING);
        if (slot.takesAll() && !has.isEmpty()) {
            out.add(new Picker.Choice("every part", "all that can be dragged", () -> put(List.of(Slot.EVERYTHING))));
        }
        Set<String> selected = studio.selection();
        if (!selected.isEmpty() && !selected.equals(has)) {
            out.add(new Picker.Choice(selected.size() == 1 ? "What is selected" : "The " + selected.size() + " selected ones", "",
                    () -> put(List.copyOf(selected))));
        }
        if (site.ofMotif() && !now.equals(List.of(Slot.INSTANCE))) {
            out.add(new Picker.Choice("this instance", "of the motif", () -> put(List.of(Slot.INSTANCE))));
        }
        out.add(new Picker.Choice("Point at them on the canvas…", "", () -> Pointing.several(studio, ids -> put(List.copyOf(ids)))));
        Tree.each(site.board().elements(), x -> {
            boolean in = has.contains(x.id());
            if (slot.takesAll() && !in && Draggings.of(site.board(), x.id()) == null) {
                return;
            }
            if (!in || has.size() > 1) {
                out.add(new Picker.Choice((in ? "✓ " : "") + x.called(), in ? "take away" : x.content().word(), () -> {
                    var next = new LinkedHashSet<>(has);
                    if (!next.remove(x.id())) {
                        next.add(x.id());
                    }
                    put(List.copyOf(next));
                }));
            }
        });
        return out;
    }

    private List<Picker.Choice> players() {
        var out = new ArrayList<Picker.Choice>();
        site.board().timelines().forEach(t -> out.add(new Picker.Choice(t.name(), "timeline", () -> put(t.id()))));
        Tree.each(site.board().elements(), x -> {
            if (x.content() instanceof Content.Instance) {
                out.add(new Picker.Choice(x.called(), "instance", () -> put(x.id())));
            }
        });
        if (site.ofMotif()) {
            out.add(new Picker.Choice("this instance", "of the motif", () -> put(Slot.INSTANCE)));
        }
        out.add(new Picker.Choice("everything", "all that plays", () -> put(Slot.EVERYTHING)));
        return out;
    }

    private List<Picker.Choice> markers() {
        var out = new ArrayList<Picker.Choice>();
        for (Timeline t : site.board().timelines()) {
            for (Marker m : t.markers()) {
                out.add(new Picker.Choice(m.name(), t.name() + " · " + TimeText.seconds(m.time()), () -> put(m.id())));
            }
        }
        return out;
    }

    private List<Picker.Choice> times() {
        var out = new ArrayList<Picker.Choice>();
        long playhead = studio.time().playhead();
        out.add(new Picker.Choice("the playhead, " + TimeText.seconds(playhead), "", () -> put(playhead)));
        out.add(new Picker.Choice("a time…", "", () -> typed(Numbers.plain((Long) now / 1e6, 3), "In seconds.", v -> studio.project()
                .snap(Math.round(Arithmetic.within(v, 0, 86_400) * 1e6)))));
        Timeline t = slots.first(Slot.Type.TIMELINE) instanceof String id ? site.board().timeline(id)
                : slots.first(Slot.Type.PLAYER) instanceof String id ? site.board().timeline(id) : null;
        if (t != null) {
            t.markers().stream().sorted(Comparator.comparingLong(Marker::time))
                    .forEach(m -> out.add(new Picker.Choice(m.name(), TimeText.seconds(m.time()), () -> put(m.time()))));
            out.add(new Picker.Choice("its start", "0 s", () -> put(0L)));
            out.add(new Picker.Choice("its end", TimeText.seconds(t.duration()), () -> put(t.duration())));
        }
        return out;
    }

    private void content() {
        PieceValue v = slots.first(Slot.Type.VALUE) instanceof String id ? studio.project().value(id) : null;
        if (v != null && v.kind() == PieceValue.Kind.YES_NO) {
            Picker.choose(chip, List.of(new Picker.Choice("yes", () -> put("yes")), new Picker.Choice("no", () -> put("no"))));
        } else {
            typed((String) now, v != null && v.kind() == PieceValue.Kind.NUMBER ? "A number." : "Any words.",
                    x -> v != null && v.kind() == PieceValue.Kind.NUMBER ? Numbers.plain(Arithmetic.within(x, -1e12, 1e12), 9) : x);
        }
    }

    private List<Picker.Choice> properties(boolean change) {
        var out = new ArrayList<Picker.Choice>();
        var s = (Setting) now;
        String text = SettingText.of(s);
        out.add(change ? new Picker.Choice("another amount…", text, () -> SettingPicker.change(chip, s.property(), text, this::put))
                : new Picker.Choice("another value…", text, () -> SettingPicker.value(chip, s.property(), text, this::put)));
        Element e = slots.first(Slot.Type.ELEMENTS) instanceof List<?> ids ? Reactions.element(site.board(), (String) ids.getFirst()) : null;
        if (e != null) {
            out.addAll(change ? SettingPicker.changes(chip, e, this::put) : SettingPicker.of(chip, e, this::put));
        }
        return out;
    }
}
