package tundra.app.cli;

import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Model.OptionSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import tundra.core.model.LabelledSlot;
import tundra.core.model.Output;
import tundra.core.model.OutputKind;
import tundra.core.model.Outputs;
import tundra.core.model.Place;
import tundra.core.model.Project;
import tundra.core.model.Slot;
import tundra.render.Filming;
import tundra.render.Fonts;

/** Makes one of the {@link Outputs}; each of its settings is an option of the command that is called as its kind. */
@Command(mixinStandardHelpOptions = true)
final class OutputCommand implements Callable<Integer> {
    private final OutputKind kind;
    private final Map<Slot, String> said = new HashMap<>();
    @Parameters(paramLabel = "FILE", description = "the project")
    private Path file;
    @Option(names = "--scene", paramLabel = "NAME", description = "the scene or motif; the first scene when it is left out")
    private String scene;
    @Mixin
    private LayoutOptions layout;
    @Mixin
    private OutputFile writes;
    @Option(names = "--to", required = true, paramLabel = "FILE", description = "the file to write; its ending says the format")
    private Path to;

    private OutputCommand(OutputKind kind) {
        this.kind = kind;
    }

    static picocli.CommandLine of(OutputKind kind) {
        var command = new OutputCommand(kind);
        var out = new picocli.CommandLine(command);
        CommandSpec spec = out.getCommandSpec().name(kind.key());
        spec.usageMessage().description(kind.hint() + ".");
        for (LabelledSlot s : kind.settings()) {
            var option = OptionSpec.builder("--" + s.slot().key()).type(String.class).paramLabel(s.unit().isEmpty() ? "VALUE" : s.unit()).description(about(s)).setter(new picocli.CommandLine.Model.ISetter() {
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
        String first = s.slot().standard() instanceof Number n ? n.doubleValue() == 0 ? "as in the piece" : String.valueOf(n.intValue()) : s.slot().standard().toString();
        return s.label() + (s.slot().type() == Slot.Type.CHOICE ? ": " + String.join(", ", s.slot().choices()) : "") + " (" + first + " when it is left out)";
    }

    @Override
    public Integer call() throws Exception {
        Output output = kind.made();
        for (LabelledSlot s : kind.settings()) {
            String text = said.get(s.slot()) != null ? said.get(s.slot()) : s.slot().key().equals("format") ? format(s.slot()) : null;
            if (text != null) {
                output = output.with(s.slot(), value(s.slot(), text));
            }
        }
        Project p = Opening.of(file);
        Place place = Scenes.of(p, scene);
        var filming = new Filming(p, layout.of(place.name(), place.board(), Fonts.of(p.assets())), output);
        writes.allow(to, OutputFile.Kind.of(filming.format().ending), file);
        filming.write(to, Percent.shown());
        System.out.println(to + ", " + filming.frames() + " pictures");
        return 0;
    }

    /** By the ending of the file. */
    private String format(Slot slot) {
        String name = to.getFileName().toString().toLowerCase(Locale.ROOT), ending = name.substring(name.lastIndexOf('.') + 1);
        String format = ending.equals("png") ? "apng" : ending;
        return slot.choices().stream().filter(c -> c.equalsIgnoreCase(format)).findFirst().orElseThrow(() -> new IllegalArgumentException(
                "“" + to.getFileName() + "” doesn't end as a " + kind.label().toLowerCase(Locale.ROOT) + " does; there is " + String.join(", ", slot.choices()) + "."));
    }

    private static Object value(Slot slot, String text) {
        String name = "--" + slot.key();
        switch (slot.type()) {
            case CHOICE -> {
                return slot.choices().stream().filter(c -> c.equalsIgnoreCase(text)).findFirst().orElseThrow(() -> new IllegalArgumentException(name + " is one of " + String.join(", ", slot.choices()) + "."));
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
                return text;
            }
        }
    }

    /** The kinds that a command can name. */
    static List<String> words() {
        return Outputs.ALL.stream().map(OutputKind::key).toList();
    }
}
