package tundra.app.publish;

import java.nio.file.Path;
import java.util.function.Consumer;
import java.util.function.DoubleConsumer;
import tundra.app.job.Dialogs;
import tundra.app.job.Jobs;
import tundra.app.job.Notices;
import tundra.app.output.Makers;
import tundra.app.studio.Studio;
import tundra.core.edit.TimeText;
import tundra.core.file.RunFile;
import tundra.core.fit.Run;
import tundra.core.model.Output;
import tundra.core.model.Outputs;
import tundra.core.model.Project;
import tundra.web.PageId;

/** Makes films of recorded visits: what was seen of the page, as it was done. */
public final class RunFilm {
    private final Studio studio;
    private final Dialogs dialogs;
    private final Jobs jobs;
    private final Notices notices;
    private final Consumer<String> show;

    /** @param show opens an address with the system's own program */
    public RunFilm(Studio studio, Dialogs dialogs, Jobs jobs, Notices notices, Consumer<String> show) {
        this.studio = studio;
        this.dialogs = dialogs;
        this.jobs = jobs;
        this.notices = notices;
        this.show = show;
    }

    /** Offers a film of what was recorded. @param lines as the page wrote them */
    public void offer(String lines) {
        Project p = studio.kept();
        jobs.run(() -> RunFile.read(lines, PageId::idOf), run -> notices.news("Recorded " + TimeText.seconds(run.length() / 100_000 * 100_000)
                + " of your visit.", "Make a film of it…", () -> make(p, run)));
    }

    private void make(Project p, Run run) {
        Output film = p.outputs().stream().filter(o -> o.kind() == Outputs.FILM).findFirst().orElse(Outputs.FILM.made());
        Path beside = studio.file() == null ? null : studio.file().toAbsolutePath().getParent();
        Path to = dialogs.save("Make a film of the visit", Outputs.file(p.name(), film.withName("visit").withFile("")), beside).orElse(null);
        if (to == null) {
            return;
        }
        Runnable[] giveUp = {() -> { }};
        DoubleConsumer share = notices.working("Making a film of the visit…", () -> giveUp[0].run());
        giveUp[0] = jobs.start(progress -> Makers.visit(p, film, run, to, progress), share, made -> notices.news("The film of the visit is made: "
                + made.size() + ".", "Open", () -> show.accept(to.toUri().toString())), () -> notices.news("Given up; nothing was written."));
    }
}
