package tundra.app.cli;

import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import tools.jackson.databind.json.JsonMapper;
import tundra.core.edit.Motifs;
import tundra.core.model.Asset;
import tundra.core.model.Place;
import tundra.core.model.Project;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;

@Command(name = "info", mixinStandardHelpOptions = true, description = "Says what a project holds.")
final class InfoCommand implements Callable<Integer> {
    @Parameters(paramLabel = "FILE", description = "the project")
    private Path file;
    @Option(names = "--json", description = "as JSON")
    private boolean json;

    @Override
    public Integer call() throws Exception {
        Map<String, Object> facts = facts(Opening.of(file));
        System.out.println(json ? JsonMapper.builder().build().writerWithDefaultPrettyPrinter().writeValueAsString(facts) : text(facts));
        return 0;
    }

    private static Map<String, Object> facts(Project p) {
        var out = new LinkedHashMap<String, Object>();
        out.put("name", p.name());
        out.put("frameRate", p.frameRate());
        for (var kind : Asset.Kind.values()) {
            out.put(kind.name().toLowerCase(Locale.ROOT) + "s", p.assets().values().stream().filter(a -> a.kind() == kind).count());
        }
        out.put("scenes", p.scenes().stream().map(InfoCommand::place).toList());
        out.put("motifs", p.motifs().stream().map(m -> {
            var facts = place(m);
            facts.put("uses", Motifs.uses(p, m.id()).count());
            return facts;
        }).toList());
        return out;
    }

    private static Map<String, Object> place(Place s) {
        var m = new LinkedHashMap<String, Object>();
        m.put("name", s.name());
        m.put("width", s.board().size().x());
        m.put("height", s.board().size().y());
        m.put("elements", Tree.ids(s.board().elements()).size());
        m.put("reactions", s.board().reactions().size());
        m.put("timelines", s.board().timelines().stream().map(InfoCommand::timeline).toList());
        return m;
    }

    private static Map<String, Object> timeline(Timeline t) {
        var m = new LinkedHashMap<String, Object>();
        m.put("name", t.name());
        m.put("seconds", t.duration() / 1e6);
        m.put("loop", t.loop());
        m.put("keys", t.tracks().values().stream().flatMap(x -> x.values().stream()).mapToInt(x -> x.keys().size()).sum());
        return m;
    }

    @SuppressWarnings("unchecked")
    private static String text(Map<String, Object> facts) {
        var s = new StringBuilder(facts.get("name") + ", " + facts.get("frameRate") + " frames a second, " + facts.get("pictures") + " pictures");
        ((List<Map<String, Object>>) facts.get("scenes")).forEach(scene -> text(s, "", scene));
        ((List<Map<String, Object>>) facts.get("motifs")).forEach(motif -> text(s, "motif ", motif));
        return s.toString();
    }

    @SuppressWarnings("unchecked")
    private static void text(StringBuilder s, String kind, Map<String, Object> place) {
        s.append("\n  ").append(kind).append(place.get("name")).append(": ").append(place.get("width")).append("×").append(place.get("height"))
                .append(", ")
                .append(place.get("elements")).append(" elements, ").append(place.get("reactions")).append(" reactions")
                .append(place.containsKey("uses") ? ", placed " + place.get("uses") + " times" : "");
        for (var t : (List<Map<String, Object>>) place.get("timelines")) {
            s.append("\n    ").append(t.get("name")).append(": ").append(t.get("seconds")).append(" s, ").append(t.get("keys")).append(" keys")
                    .append((boolean) t.get("loop") ? ", loops" : "");
        }
    }
}
