package tundra.app;

import java.nio.file.Path;
import javafx.concurrent.Worker;
import javafx.scene.Scene;
import javafx.scene.web.WebView;
import javafx.stage.Stage;
import tundra.core.geometry.Point;
import tundra.core.model.Project;
import tundra.core.work.Progress;
import tundra.render.Fonts;
import tundra.render.PictureSheets;
import tundra.web.PageCompiler;
import tundra.web.Publisher;

/** The published page of a piece in a WebView of its own, as Try it shows it. */
final class PageInView {
    private PageInView() {}

    /** @param folder where the page is written to */
    static WebView open(RealWindow t, Project p, Path folder) throws Exception {
        Publisher.publish(new PageCompiler(Fonts.BUNDLED, Fonts.BUNDLED, new PictureSheets()).compile(p, null), folder.resolve("page"),
                Progress.NONE);
        Point size = p.scenes().getFirst().board().size();
        WebView view = RealWindow.fx(() -> {
            var v = new WebView();
            var stage = new Stage();
            stage.setScene(new Scene(v, size.x(), size.y()));
            stage.show();
            v.getEngine().load(folder.resolve("page/index.html").toUri().toString());
            return v;
        });
        t.until(() -> view.getEngine().getLoadWorker().getState() == Worker.State.SUCCEEDED);
        return view;
    }
}
