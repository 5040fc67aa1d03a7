package tundra.web;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import tundra.core.edit.Motifs;
import tundra.core.edit.Reach;
import tundra.core.frame.Moment;
import tundra.core.geometry.Numbers;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Motif;
import tundra.core.model.PageSettings;
import tundra.core.model.PieceValue;
import tundra.core.model.Place;
import tundra.core.model.PlacedSound;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Scene;
import tundra.core.model.Span;
import tundra.core.model.States;
import tundra.core.model.Timeline;
import tundra.core.model.Transition;
import tundra.core.model.Tree;

/** What the player is told of a piece: its scenes, timelines with their tracks, sounds and motifs, as JSON. */
final class PageData {
    private final boolean asPictures;

    /** @param asPictures whether motifs can be shown as series of pictures */
    PageData(boolean asPictures) {
        this.asPictures = asPictures;
    }

    /** @param used gets the sections of the player's script that the piece takes */
    String data(Project p, List<Motif> motifs, Markup markup, LayoutPages layouts, boolean words, Set<String> used) {
        ObjectNode root = PageCompiler.JSON.createObjectNode().put("id", p.id()).put("scope", PageCompiler.scope(p));
        if (!p.values().isEmpty()) {
            used.add(PlayerScript.VALUES);
            ArrayNode values = root.putArray("values");
            for (PieceValue v : p.values()) {
                ObjectNode o = values.addObject().put("id", v.id()).put("name", v.name()).put("kind", v.kind().key()).put("start", v.start());
                if (v.kept()) {
                    o.put("kept", true);
                }
            }
        }
        boolean fits = p.page().fit() != PageSettings.Fit.AS_DRAWN || layouts.any();
        if (layouts.any()) {
            used.add(PlayerScript.LAYOUTS);
        }
        if (fits) {
            used.add(PlayerScript.FIT);
            root.put("fit", p.page().fit().key());
        }
        if (p.page().history()) {
            used.addAll(Set.of(PlayerScript.HISTORY, PlayerScript.REACTIONS));
            root.put("history", true);
        }
        if (p.over() != null) {
            used.add(PlayerScript.OVER);
            root.put("over", p.over().id());
        }
        ArrayNode scenes = root.putArray("scenes");
        for (Scene s : p.scenes()) {
            ObjectNode one = scenes.addObject().put("of", Markup.sceneTarget(s)).put("id", s.id()).put("name", s.name());
            if (s.opening().transition().kind() != Transition.Kind.CUT) {
                used.addAll(Set.of(PlayerScript.WAYS, PlayerScript.REACTIONS));
                ReactionWriter.transition(one.putObject("into"), s.opening().transition());
            }
            if (s.opening().keeps()) {
                used.add(PlayerScript.KEEPS);
                one.put("keeps", true);
            }
            if (fits) {
                one.putArray("size").add(s.board().size().x()).add(s.board().size().y());
                LayoutPages.room(one, s.board());
            }
            board(one, p, s, markup, words, used);
            layouts.data(one, s, (to, project, scene, of) -> board(to, project, scene, of, words, used));
        }
        var whole = PageCompiler.JSON.createArrayNode();
        ReactionWriter.ofPiece(p, markup, words, used).write(whole);
        if (!whole.isEmpty()) {
            used.addAll(Set.of(PlayerScript.WHOLE, PlayerScript.REACTIONS));
            root.set("reactions", whole);
        }
        if (!motifs.isEmpty()) {
            used.add(PlayerScript.MOTIFS);
            ObjectNode all = root.putObject("motifs");
            for (Motif m : motifs) {
                ObjectNode o = all.putObject(m.id()).put("of", PageId.of(m.id()));
                board(o, p, m, markup, words, used);
                if (!m.board().layouts().isEmpty()) {
                    used.add(PlayerScript.INLAYS);
                    o.put("inside", LayoutPages.inside(m)).putArray("size").add(m.board().size().x()).add(m.board().size().y());
                    layouts.data(o, m, (to, project, place, of) -> board(to, project, place, of, words, used));
                }
                if (m.states() != null) {
                    used.add(PlayerScript.STATES);
                    ObjectNode states = o.putObject("states").put("travel", m.states().travel() / 1000.0);
                    for (States.State x : States.State.values()) {
                        states.put(x.name().toLowerCase(Locale.ROOT), m.states().time(x) / 1000.0);
                    }
                }
            }
        }
        var easings = new SharedEasings(p);
        easings.fold(root);
        if (easings.any()) {
            used.add(PlayerScript.EASES);
        }
        // a script element is not used, but the text may be pasted into one
        return root.toString().replace("</", "<\\/");
    }

    private void board(ObjectNode o, Project p, Place place, Markup markup, boolean words, Set<String> used) {
        Board b = place.board();
        ArrayNode timelines = o.putArray("timelines");
        var mixes = new Mixes();
        for (Timeline t : b.timelines()) {
            if (!SetTimelines.is(t)) {
                timeline(timelines.addObject(), p, place, t, markup, mixes);
                if (!t.sounds().isEmpty()) {
                    used.add(PlayerScript.SOUNDS);
                }
            }
        }
        var reactions = PageCompiler.JSON.createArrayNode();
        var writer = new ReactionWriter(p, b, Reach.PLACE, markup, (to, t) -> tracks(to, place, t, markup, mixes), words, used);
        writer.write(reactions);
        writer.drags(o);
        Scrolling.write(o, b, markup, used);
        if (!mixes.all().isEmpty()) {
            used.add(PlayerScript.MIXES);
            o.set("mixes", PageCompiler.JSON.valueToTree(mixes.all()));
        }
        o.set("reactions", reactions);
        if (!p.scripts().isEmpty()) {
            used.add(PlayerScript.SCRIPTS);
            used.add(PlayerScript.REACTIONS);
            ObjectNode names = o.putObject("names");
            Tree.each(b.elements(), e -> {
                if (markup.of(e.id()) != null && !names.has(e.name())) {
                    names.put(e.name(), PageId.of(e.id()));
                }
            });
        }
        BlockWriter.write(o, p, b, markup, asPictures, used);
        List<Element> instances = Motifs.instances(b, x -> true).stream().filter(e -> markup.of(e.id()) != null).toList();
        if (!instances.isEmpty()) {
            ArrayNode all = o.putArray("instances");
            instances.forEach(e -> instance(all.addObject(), p, b, e, markup));
        }
    }

    /** Where a motif stands, and what its time goes by; said only where it isn't usual. */
    private static void instance(ObjectNode o, Project p, Board b, Element e, Markup markup) {
        var i = (Content.Instance) e.content();
        Clock c = p.motif(i.motif()).clock(i);
        o.put("of", markup.of(e.id()).box().box()).put("outer", markup.of(e.id()).box().outer()).put("motif", i.motif())
                .put("repeat", c.repeat().name().toLowerCase(Locale.ROOT));
        if (!p.motif(i.motif()).board().layouts().isEmpty()) {
            o.put("wide", Math.abs(e.rest().get(Properties.SCALE).x()) * i.box().x());
        }
        if (c.phase() != 0) {
            o.put("phase", c.phase() / 1000.0);
        }
        if (c.speed() != 1) {
            o.put("speed", c.speed());
        }
        if (!c.own()) {
            Timeline on = Moment.sitsOn(b, e.id());
            o.put("timeline", on.id());
            Span s = on.shown().get(e.id());
            if (s != null && s.from() > 0) {
                o.put("from", s.from() / 1000.0);
            }
        }
    }

    /** What a sound does besides being heard from its start to its end is said only where it does. */
    private static void sound(ObjectNode o, Asset a, PlacedSound x, Timeline t) {
        o.put("src", PageCompiler.soundPath(a)).put("at", x.start() / 1000.0)
                .put("length", Math.max(PlacedSound.SHORTEST, x.part(a.duration())) / 1000.0).put("volume", x.volume());
        if (x.from() > 0) {
            o.put("from", x.from() / 1000.0);
        }
        if (x.loop()) {
            o.put("loop", true).put("heard", x.heard(a.duration(), t.duration()) / 1000.0);
        }
        if (x.fadeIn() > 0) {
            o.put("in", x.fadeIn() / 1000.0);
        }
        if (x.fadeOut() > 0) {
            o.put("out", x.fadeOut() / 1000.0);
        }
    }

    private void timeline(ObjectNode o, Project p, Place s, Timeline t, Markup markup, Mixes mixes) {
        o.put("id", t.id()).put("name", t.name()).put("duration", t.duration() / 1000.0).put("loop", t.loop()).put("starts", t.starts());
        if (!t.sounds().isEmpty()) {
            ArrayNode sounds = o.putArray("sounds");
            t.sounds().forEach(x -> sound(sounds.addObject(), p.assets().get(x.asset()), x, t));
        }
        if (!p.scripts().isEmpty() && !t.markers().isEmpty()) {
            ObjectNode markers = o.putObject("markers");
            t.markers().forEach(m -> markers.put(m.name(), m.time() / 1000.0));
        }
        tracks(o, s, t, markup, mixes);
    }

    private void tracks(ObjectNode o, Place s, Timeline t, Markup markup, Mixes mixes) {
        ArrayNode tracks = o.putArray("tracks");
        var all = new ArrayList<>(Channels.keys(t, PageId.of(s.id()), markup::of, mixes));
        all.addAll(FlipChannels.of(s.board(), t, markup));
        for (PageTrack track : all) {
            ObjectNode one = tracks.addObject().put("of", track.target()).put("property", track.property());
            if (track.every() > 0) {
                one.put("every", track.every());
            }
            if (track.round() instanceof PageTrack.Round r) {
                one.putObject("round").put("length", r.length() / 1000.0).put("begin", r.begin() / 1000.0).put("before", r.before());
            }
            ArrayNode keys = one.putArray("keys");
            for (PageTrack.PageKey k : track.keys()) {
                ArrayNode a = keys.addArray().add(number(k.offset())).add(k.value());
                if (!k.easing().equals("linear")) {
                    a.add(k.easing());
                }
            }
        }
    }

    private static BigDecimal number(double offset) {
        return new BigDecimal(Numbers.plain(offset, 9));
    }
}
