package tundra.app.details;

import java.util.List;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tundra.app.command.CommandIds;
import tundra.app.command.Commands;
import tundra.app.tool.ToolOptions;
import tundra.app.widget.Buttons;
import tundra.app.widget.Icon;
import tundra.app.widget.LightButton;
import tundra.app.widget.LightComboBox;
import tundra.app.widget.Words;
import tundra.app.widget.WordsOf;

/** Buttons that bring the selected elements into line, and what they go by. */
final class ArrangeSection extends VBox {
    private record Part(String command, Icon icon) {}

    private static final List<Part> PARTS = List.of(new Part(CommandIds.ALIGN_LEFT, Icon.ALIGN_LEFT),
            new Part(CommandIds.ALIGN_CENTRE, Icon.ALIGN_CENTRE),
            new Part(CommandIds.ALIGN_RIGHT, Icon.ALIGN_RIGHT), new Part(CommandIds.ALIGN_TOP, Icon.ALIGN_TOP),
            new Part(CommandIds.ALIGN_MIDDLE, Icon.ALIGN_MIDDLE),
            new Part(CommandIds.ALIGN_BOTTOM, Icon.ALIGN_BOTTOM));
    private static final List<Part> MORE = List.of(new Part(CommandIds.DISTRIBUTE_LEVEL, Icon.SPREAD_LEVEL), new Part(CommandIds.DISTRIBUTE_UPRIGHT,
            Icon.SPREAD_UPRIGHT),
            new Part(CommandIds.MATCH_WIDTH, Icon.SAME_WIDTH), new Part(CommandIds.MATCH_HEIGHT, Icon.SAME_HEIGHT));

    ArrangeSection(Commands commands, ToolOptions options, boolean several) {
        super(6);
        var title = Words.section("Arrange");
        getChildren().addAll(title, row(commands, PARTS), row(commands, MORE));
        if (several) {
            var by = new LightComboBox<ToolOptions.AlignTo>();
            by.setId("align-to");
            by.getItems().setAll(ToolOptions.AlignTo.values());
            by.setValue(options.alignTo);
            by.setAccessibleText("Aligned by");
            by.setConverter(new WordsOf<>(a -> "by " + a.words));
            by.setOnAction(e -> options.alignTo = by.getValue());
            by.setMaxWidth(Double.MAX_VALUE);
            HBox.setHgrow(by, Priority.ALWAYS);
            getChildren().add(by);
        }
    }

    private static FlowPane row(Commands commands, List<Part> parts) {
        var row = new FlowPane(4, 4);
        for (Part p : parts) {
            LightButton b = Buttons.icon(commands.get(p.command()), p.icon(), 16);
            b.getStyleClass().add("flat");
            row.getChildren().add(b);
        }
        return row;
    }
}
