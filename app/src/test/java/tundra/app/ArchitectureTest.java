package tundra.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.library.dependencies.SlicesRuleDefinition;
import java.awt.BasicStroke;
import java.awt.Shape;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import tundra.core.edit.Kept;
import tundra.core.model.Project;

/** The rooms and the arrows between them, as docs/architecture.md draws them. */
class ArchitectureTest {
    private static final JavaClasses ALL = new ClassFileImporter().withImportOption(new ImportOption.DoNotIncludeTests()).importPackages("tundra");
    /** From the ground up: each uses only those before it. */
    private static final List<String> CORE = List.of("work", "geometry", "motion", "model", "block", "frame", "edit", "fit", "helper", "draw",
            "flip", "series", "check", "file", "compare", "svg");

    private static void never(String from, String... to) {
        noClasses().that().resideInAPackage(from).should().dependOnClassesThat().resideInAnyPackage(to).check(ALL);
    }

    @Test
    void allRoomsAreThere() {
        assertThat(ALL.stream().map(c -> c.getPackageName()).filter(p -> p.startsWith("tundra.")).map(p -> p.split("\\.")[1]).distinct())
                .contains("core", "render", "web", "app", "samples");
    }

    @Test
    void coreKnowsNobodyAndHasNoInterface() {
        never("tundra.core..", "tundra.render..", "tundra.web..", "tundra.app..", "javafx..", "javax.swing..", "io.github.humbleui..");
        // of the JDK's desktop only its plain geometry, which needs no display
        noClasses().that().resideInAPackage("tundra.core..").should().dependOnClassesThat(JavaClass.Predicates.resideInAPackage("java.awt..")
                .and(DescribedPredicate.not(JavaClass.Predicates.resideInAPackage("java.awt.geom..")
                        .or(JavaClass.Predicates.belongToAnyOf(BasicStroke.class, Shape.class))))).check(ALL);
    }

    @Test
    void renderAndWebKnowOnlyCore() {
        never("tundra.render..", "tundra.web..", "tundra.app..", "javafx..");
        never("tundra.web..", "tundra.render..", "tundra.app..", "javafx..", "io.github.humbleui..");
    }

    @Test
    void corePackagesUseOnlyThoseBelowThem() {
        for (int i = 0; i < CORE.size(); i++) {
            for (String above : CORE.subList(i + 1, CORE.size())) {
                never("tundra.core." + CORE.get(i) + "..", "tundra.core." + above + "..");
            }
        }
    }

    @Test
    void filesAreOpenedOnlyWhereTheyBelong() {
        noClasses().that().resideInAnyPackage("tundra.core.geometry..", "tundra.core.motion..", "tundra.core.model..", "tundra.core.frame..",
                "tundra.core.edit..").should().dependOnClassesThat().resideInAnyPackage("java.nio.file..", "tools.jackson..").check(ALL);
    }

    /** The limits of the JDK's server are read when the first is made. */
    @Test
    void serversAreMadeInOnePlace() {
        noClasses().that().doNotHaveFullyQualifiedName("tundra.web.LoopbackServer").should().dependOnClassesThat()
                .haveFullyQualifiedName("com.sun.net.httpserver.HttpServer").check(ALL);
    }

    @Test
    void toolsAndPanelsDoNotKnowTheWindow() {
        never("tundra.app.studio..", "tundra.app.tool..", "tundra.app.canvas..");
        never("tundra.app.output..", "javafx.scene..", "javafx.stage..");
        never("tundra.app.send..", "javafx..");
        for (String panel : List.of("studio", "tool", "canvas", "timeline", "details", "outline", "flip", "interact", "publish", "check", "art",
                "color", "widget", "job", "document", "ways")) {
            never("tundra.app." + panel + "..", "tundra.app.window..", "tundra.app.builtin..");
        }
    }

    @Test
    void noTwoPackagesUseEachOther() {
        SlicesRuleDefinition.slices().matching("tundra.(*).(*)..").should().beFreeOfCycles().check(ALL);
    }

    /** One idea each. */
    @Test
    void filesAreShort() throws Exception {
        for (String module : List.of("core", "render", "web", "app")) {
            try (var all = Files.walk(Path.of("..", module, "src/main/java"))) {
                for (Path p : all.filter(x -> x.toString().endsWith(".java")).toList()) {
                    assertThat(Files.readAllLines(p)).as(p.toString()).hasSizeLessThanOrEqualTo(400);
                }
            }
        }
    }

    /** What is open is changed through {@code Studio.edit} and {@code make}; more than that only by these. */
    @Test
    void fewChangeMoreThanWhatIsOpen() {
        noClasses().that().resideInAPackage("tundra.app..")
                .and(DescribedPredicate.not(named("Studio", "ChecksPanel", "PublishPanel", "PaintPopover", "MotifCommands", "SceneCommands",
                "TimeCommands", "CanvasSection", "EasingPicker",
                "PicturesSection", "StatesSection", "TextSection", "FileJobs", "Importing", "MotifFiles", "SwatchFiles", "ReactionSite", "Sentence",
                "ScriptsPanel", "ValuesPanel", "MotifTile", "ShelfPanel", "SceneTabs", "BlockFiles", "OpeningSection", "WaysPanel", "PublishSide",
                "EarlierPanel"))).should()
                .callMethod(tundra.app.studio.Studio.class, "editProject", String.class, Object.class, UnaryOperator.class).check(ALL);
        noClasses().that(DescribedPredicate.not(named("Studio"))).should().callConstructor(Kept.class, Project.class, String.class).check(ALL);
    }

    /** Work beside the interface thread is started where whatever it throws is told, and nobody's thread is interrupted. */
    @Test
    void threadsAreStartedWhereTheirTroublesAreTold() {
        var threads = noClasses().that().resideInAPackage("tundra.app..")
                .and(DescribedPredicate.not(named("Work", "Jobs", "RenderLoop", "TundraApp", "Launcher", "Patience"))).should();
        threads.callMethod(Thread.class, "ofVirtual").check(ALL);
        threads.callMethod(Thread.class, "ofPlatform").check(ALL);
        threads.callConstructor(Thread.class, Runnable.class, String.class).check(ALL);
        noClasses().that(DescribedPredicate.not(named("SystemBrowser", "RenderLoop"))).should().callMethod(Thread.class, "interrupt").check(ALL);
    }

    private static DescribedPredicate<JavaClass> named(String... simple) {
        return DescribedPredicate.describe("one of " + List.of(simple), c -> List.of(simple).contains(c.getSimpleName()) || List.of(simple)
                .contains(c.getName().replaceAll("^.*\\.|\\$.*$", "")));
    }
}
