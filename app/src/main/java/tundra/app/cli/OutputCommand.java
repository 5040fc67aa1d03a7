package tundra.app.cli;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Model.OptionSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import tundra.app.output.FileStart;
import tundra.app.output.FileStart;
import tundra.app.output.Made;
import tundra.app.output.Makers;
import tundra.core.edit.OutputEdits;
import tundra.core.edit.SettingWords;
import tundra.core.file.RunFile;
import tundra.core.model.Color;
import tundra.core.model.LabelledSlot;
import tundra.core.model.Marker;
import tundra.core.model.Output;
import tundra.core.model.OutputKind;
import tundra.core.model.Outputs;
import tundra.core.model.Place;
import tundra.core.model.Project;
import tundra.core.model.Scene;
import tundra.core.model.Slot;
import tundra.web.PageId;

/** Makes one of the {@link Outputs}; each of its settings is an option of the command that is called as its kind. */
@Command(mixinStandardHelpOptions = true)
final class OutputCommand implements Callable<Integer> {
    /** What names something of the piece has options of its own, or none. */
    private static final Set<Slot.Type> NAMED = Set.of(Slot.Type.SCENE, Slot.Type.LAYOUT, Slot.Type.PICTURE);
    private final OutputKind kind;
    private final Map<Slot, String> said = new HashMap<>();
    @Parameters(paramLabel = "FILE", description = "the project")
    private Path file;
    @Option(names = "--scene", paramLabel = "NAME", description = "the scene or motif; the first scene when it is left out, for films also all")
    private String scene;
    @Mixin
    private LayoutOptions layout;
    @Mixin
    private OutputFile writes;
    @Option(names = "--to", required = true, paramLabel = "FILE", description = "the file or folder to write; a file's ending says the format")
    private Path to;

    @Option(names = "--run", paramLabel = "LINES", description = "for a film: a recorded visit, which is filmed in place of a scene")
    private Path run;

    private OutputCommand(OutputKind kind) {
        this.kind = kind;
    }

    static picocli.CommandLine of(OutputKind kind) {
        var command = new OutputCommand(kind);
        var out = new picocli.CommandLine(command);
        CommandSpec spec = out.getCommandSpec().name(kind.key());
        spec.usageMessage().description(kind.hint() + ".");
        for (LabelledSlot s : kind.settings()) {
            if (NAMED.contains(s.slot().type())) {
                continue;
            }
            var option = OptionSpec.builder("--" + s.slot().key()).type(String.class).paramLabel(s.unit().isEmpty() ? "VALUE" : s.unit())
                    .description(about(s)).setter(new picocli.CommandLine.Model.ISetter() {
                @Override
                @SuppressWarnings("unchecked")
                public <T> T set(T value) {
                    return (T) command.said.put(s.slot(), (String) value);
                }
            });
            spec.addOption(s.yesNo() ? option.arity("0..1").fallbackValue("yes").build() : option.build());
        }
        return out;
    }

    private static String about(LabelledSlot s) {
        String first = s.slot().standard() instanceof Number n ? n.doubleValue() == 0 ? "as in the piece" : String.valueOf(n.intValue()) : s.slot()
                .standard().toString();
        return s.label() + (s.slot().type() == Slot.Type.CHOICE ? ": " + String.join(", ", s.slot().choices()) : "") + " (" + first
                + " when it is left out)";
    }

    @Override
    public Integer call() throws Exception {
        Output output = kind.made();
        for (LabelledSlot s : kind.settings()) {
            if (said.get(s.slot()) != null) {
                output = output.with(s.slot(), value(s.slot(), said.get(s.slot())));
            }
        }
        Slot format = kind.settings().stream().map(LabelledSlot::slot).filter(s -> s.key().equals("format")).findFirst().orElse(null);
        if (format != null && said.get(format) == null && !Outputs.series(output)) {
            output = output.with(format, format(format));
        }
        Project p = layout.of(Opening.of(file));
        Slot of = kind.settings().stream().map(LabelledSlot::slot).filter(s -> s.type() == Slot.Type.SCENE).findFirst().orElse(null);
        if (scene != null && of != null) {
            Place place = of.takesAll() && scene.equals("all") ? null : PlaceFinder.of(p, scene);
            if (place != null && p.scene(place.id()) == null) {
                // a motif is shown as a scene of its own
                p = p.withScenes(Stream.concat(p.scenes().stream(), Stream.of(new Scene(place.id() + "-scene", place.name(), place.board())))
                        .toList());
                output = output.with(of, place.id() + "-scene");
            } else {
                output = output.with(of, place == null ? Slot.EVERYTHING : place.id());
            }
        }
        for (Slot s : said.keySet()) {
            output = s.type() == Slot.Type.MARKER && said.get(s) != null ? output.with(s, marker(p, output, said.get(s))) : output;
        }
        if (!Outputs.ending(output).isEmpty()) {
            writes.allow(to, FileStart.of(Outputs.ending(output)), file);
        }
        Made made = run != null && kind == Outputs.FILM ? Makers.visit(p, output, RunFile.read(Files.readString(run), PageId::idOf), to,
                Percent.shown()) : Makers.make(p, output, to, writes.force(), Percent.shown());
        System.out.println(to + ", " + made.words());
        if (!made.leftOut().isEmpty()) {
            System.err.println(made.leftOut());
        }
        return 0;
    }

    /** The id of a marker of Main by its name. */
    private static String marker(Project p, Output o, String name) {
        Scene s = OutputEdits.scene(p, o);
        List<Marker> all = s == null ? List.of() : s.board().main().markers();
        return all.stream().filter(m -> m.name().equals(name)).findFirst().map(Marker::id).orElseThrow(() -> new IllegalArgumentException(
                "There is no marker “" + name + "” on Main" + (all.isEmpty() ? ", which has none." : "; there is "
                + String.join(", ", all.stream().map(Marker::name).toList()) + ".")));
    }

    /** By the ending of the file. */
    private String format(Slot slot) {
        String name = to.getFileName().toString().toLowerCase(Locale.ROOT), ending = name.substring(name.lastIndexOf('.') + 1);
        return slot.choices().stream().filter(c -> Outputs.endingOf(c).equals(ending)).findFirst().orElseThrow(() -> new IllegalArgumentException(
                "“" + to.getFileName() + "” doesn't end as a " + kind.label().toLowerCase(Locale.ROOT) + " does; there is "
                + String.join(", ", slot.choices()) + "."));
    }

    private static Object value(Slot slot, String text) {
        String name = "--" + slot.key();
        switch (slot.type()) {
            case CHOICE -> {
                return slot.choices().stream().filter(c -> c.equalsIgnoreCase(text)).findFirst()
                        .orElseThrow(() -> new IllegalArgumentException(name + " is one of " + String.join(", ", slot.choices()) + "."));
            }
            case COLOR -> {
                try {
                    return Color.parse(text).hex();
                } catch (IllegalArgumentException e) {
                    throw new IllegalArgumentException(name + " is a colour such as #20304A.", e);
                }
            }
            case NUMBER, DURATION -> {
                double most = slot.type() == Slot.Type.NUMBER ? slot.max() : 86_400, least = slot.type() == Slot.Type.NUMBER ? slot.min() : 0;
                try {
                    double v = Double.parseDouble(text);
                    if (v >= least && v <= most) {
                        return slot.type() == Slot.Type.NUMBER ? (Object) v : (Object) Math.round(v * 1e6);
                    }
                } catch (NumberFormatException e) {
                    // told below
                }
                throw new IllegalArgumentException(name + " is a number from " + Math.round(least) + " to " + Math.round(most) + ".");
            }
            default -> {
                String wrong = SettingWords.problem(slot, text);
                if (wrong != null) {
                    throw new IllegalArgumentException(name + ": " + wrong);
                }
                return text;
            }
        }
    }

    /** The kinds that have a command of this making; a sheet has one that knows flipbooks, too. */
    static List<OutputKind> kinds() {
        return Outputs.ALL.stream().filter(k -> k != Outputs.SHEET).toList();
    }

    /** Their names. */
    static List<String> words() {
        return kinds().stream().map(OutputKind::key).toList();
    }
}
