package tundra.app.cli;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import tundra.app.output.Makers;
import tundra.app.output.Made;
import tundra.app.send.KnownHosts;
import tundra.app.send.Place;
import tundra.app.send.Sending;
import tundra.app.studio.Settings;
import tundra.core.model.Output;
import tundra.core.model.Outputs;
import tundra.core.model.Project;
import tundra.core.work.Progress;

@Command(name = "send", mixinStandardHelpOptions = true,
        description = "Sends the web page of a project to a host: only what changed, and whole or not at all.")
final class SendCommand implements Callable<Integer> {
    @Parameters(paramLabel = "FILE", description = "the project")
    private Path file;
    @Option(names = "--to", required = true, paramLabel = "ADDRESS",
            description = "sftp://host/folder, dav://host/folder, davs://host/folder, or a folder of this machine")
    private String to;
    @Option(names = "--user", defaultValue = "", paramLabel = "NAME", description = "the name on the host")
    private String user;
    @Option(names = "--secret-file", paramLabel = "FILE",
            description = "a file whose first line is the secret; without it TUNDRA_SECRET of the environment is taken")
    private Path secretFile;
    @Option(names = "--look", description = "says what would change, and sends nothing")
    private boolean look;
    @Option(names = "--back", description = "brings the version before back, and sends nothing")
    private boolean back;

    @Override
    public Integer call() throws Exception {
        Place place = Place.of(to, user);
        String secret = secretFile != null ? Files.readString(secretFile).lines().findFirst().orElse("") : System.getenv()
                .getOrDefault("TUNDRA_SECRET", "");
        Settings settings = Settings.load();
        try (Sending s = Sending.to(place, secret, new KnownHosts(settings::knownHost, settings::setKnownHost))) {
            if (back) {
                s.bringBack();
                System.out.println("The version before is back at " + place.words() + ".");
                return 0;
            }
            Project p = Opening.of(file);
            Output o = p.outputs().stream().filter(x -> x.kind() == Outputs.PAGE).findFirst().orElse(Outputs.PAGE.made());
            var page = Makers.page(p, o, Progress.NONE);
            Sending.Plan plan = look ? s.plan(page) : s.send(page, Percent.shown());
            plan.changed().forEach(x -> System.out.println("changed  " + x));
            plan.removed().forEach(x -> System.out.println("gone     " + x));
            System.out.println(plan.changed().size() + " changed, " + plan.removed().size() + " gone, " + plan.same() + " as they were, "
                    + Made.size(plan.bytes()) + (look ? " to send." : " sent to " + place.words() + "."));
        }
        return 0;
    }
}
