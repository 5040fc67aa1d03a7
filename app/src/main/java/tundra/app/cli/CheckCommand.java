package tundra.app.cli;

import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import tools.jackson.databind.json.JsonMapper;
import tundra.core.check.Checks;
import tundra.core.check.Finding;
import tundra.core.edit.TimeText;
import tundra.core.model.Project;
import tundra.core.work.Progress;
import tundra.render.Fonts;
import tundra.render.SkiaImageComparer;

@Command(name = "check", mixinStandardHelpOptions = true,
        description = "Looks a project over. Exit code 0 when nothing was found, 2 when something was, 1 when it can't be read.")
final class CheckCommand implements Callable<Integer> {
    @Parameters(paramLabel = "FILE", description = "the project")
    private Path file;
    @Option(names = "--json", description = "as JSON")
    private boolean json;
    @Option(names = "--jump", defaultValue = "25", paramLabel = "PERCENT",
            description = "the change of a drawing's area that is told (default ${DEFAULT-VALUE})")
    private double jump;
    @Mixin
    private LayoutOptions layout;

    @Override
    public Integer call() throws Exception {
        if (!(jump > 0 && jump <= 1000)) {
            throw new IllegalArgumentException("The change of area goes from 0 to 1000 percent.");
        }
        Project p = layout.of(Opening.of(file));
        List<Finding> found, quiet;
        try (var eyes = new SkiaImageComparer()) {
            var everything = Checks.run(p, Fonts.of(p.assets()), eyes, jump / 100, Progress.NONE);
            quiet = everything.stream().filter(f -> f.muted(p) != null).toList();
            found = everything.stream().filter(f -> f.muted(p) == null).toList();
        }
        System.out.println(json ? JsonMapper.builder().build().writerWithDefaultPrettyPrinter().writeValueAsString(facts(p, found, quiet))
                : text(p, found, quiet));
        return found.isEmpty() ? 0 : 2;
    }

    private static Map<String, Object> facts(Project p, List<Finding> found, List<Finding> quiet) {
        var out = new LinkedHashMap<String, Object>();
        out.put("project", p.name());
        out.put("findings", found.stream().map(f -> facts(p, f)).toList());
        out.put("muted", quiet.stream().map(f -> facts(p, f)).toList());
        return out;
    }

    private static Map<String, Object> facts(Project p, Finding f) {
        var m = new LinkedHashMap<String, Object>();
        m.put("check", f.check().key());
        m.put("severity", f.check().severity.words);
        m.put("scene", p.place(f.scene()).name());
        if (f.element() != null) {
            m.put("element", p.place(f.scene()).board().find(f.element()).name());
        }
        if (f.drawing() != null) {
            m.put("drawing", p.place(f.scene()).board().find(f.drawing()).name());
        }
        m.put("seconds", f.time() / 1e6);
        m.put("text", f.text());
        if (f.muted(p) != null) {
            m.put("reason", f.muted(p));
        }
        return m;
    }

    private static String text(Project p, List<Finding> found, List<Finding> quiet) {
        String but = quiet.isEmpty() ? "" : " (" + quiet.size() + " meant to be so)";
        if (found.isEmpty()) {
            return p.name() + ": nothing found" + but + ".";
        }
        var s = new StringBuilder(p.name() + ": " + (found.size() == 1 ? "1 finding" : found.size() + " findings") + but);
        found.forEach(f -> s.append("\n  ").append(f.check().title).append(" · ").append(p.place(f.scene()).name()).append(" at ")
                .append(TimeText.seconds(f.time()))
                .append(" · ").append(f.text()));
        return s.toString();
    }
}
