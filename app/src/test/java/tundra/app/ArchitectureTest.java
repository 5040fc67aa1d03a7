package tundra.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.library.dependencies.SlicesRuleDefinition;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The rooms and the arrows between them, as docs/architecture.md draws them. */
class ArchitectureTest {
    private static final JavaClasses ALL = new ClassFileImporter().withImportOption(new ImportOption.DoNotIncludeTests()).importPackages("tundra");
    /** From the ground up: each uses only those before it. */
    private static final List<String> CORE = List.of("geometry", "motion", "model", "frame", "edit", "helper", "draw", "flip", "series", "check", "file", "svg");

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
                        .or(JavaClass.Predicates.belongToAnyOf(java.awt.BasicStroke.class, java.awt.Shape.class))))).check(ALL);
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
        noClasses().that().doNotHaveFullyQualifiedName("tundra.web.LoopbackServer").should().dependOnClassesThat().haveFullyQualifiedName("com.sun.net.httpserver.HttpServer").check(ALL);
    }

    @Test
    void toolsAndPanelsDoNotKnowTheWindow() {
        never("tundra.app.studio..", "tundra.app.tool..", "tundra.app.canvas..");
        for (String panel : List.of("studio", "tool", "canvas", "timeline", "details", "outline", "flip", "interact", "publish", "check", "art", "color", "widget", "job", "files")) {
            never("tundra.app." + panel + "..", "tundra.app.window..", "tundra.app.commands..");
        }
    }

    @Test
    void noTwoPackagesUseEachOther() {
        SlicesRuleDefinition.slices().matching("tundra.(*).(*)..").should().beFreeOfCycles().check(ALL);
    }
}
