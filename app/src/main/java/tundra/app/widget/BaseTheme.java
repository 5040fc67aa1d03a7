package tundra.app.widget;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The base theme without the rules of controls that Tundra doesn't use or styles by itself: every rule is matched against every node. */
final class BaseTheme {
    private static final Pattern RULE = Pattern.compile("([^{}]+)\\{([^{}]*)}");
    /** How the names of classes begin that are left out: BaseThemeTest says which of them a newer theme no longer has, and what it has anew. */
    static final List<String> UNUSED = List.of("accordion", "alert", "area-legend", "bar-",
            "bb-code", "bg-", "border-", "breadcrumbs", "bubble-", "button(?![-\\w])", "calendar", "caption-menu-item", "card", "chart", "choice-box",
            "choice-dialog", "color-pal", "color-picker", "custom-color", "custom-text", "danger", "date-picker", "default-color", "elevated-",
            "html-editor", "hyperlink", "ikonli", "interactive", "message", "modal-", "notification", "pagination", "password-field",
            "pie-legend", "popover", "radio-button", "ring-progress", "segmented-control", "selectable-text", "spinner", "split-menu-button",
            "stacked-bar", "tab-line", "tab-pane", "table-", "text-bold", "text-caption", "text-input-dialog", "text-lighter", "text-muted",
            "text-normal", "text-oblique", "text-on-", "text-small", "text-strike", "text-subtle", "text-underlined", "tile", "titled-pane",
            "title-", "toggle-switch", "tool-bar", "tree-");
    private static final Pattern LEFT_OUT = Pattern.compile("\\.(" + String.join("|", UNUSED) + ")");

    private BaseTheme() {}

    static String trim(String css) {
        var kept = new StringBuilder();
        Matcher m = RULE.matcher(css.replaceAll("(?s)/\\*.*?\\*/", ""));
        while (m.find()) {
            String selectors = Stream.of(m.group(1).split(",")).filter(s -> !LEFT_OUT.matcher(s).find()).collect(Collectors.joining(","));
            if (!selectors.isBlank()) {
                kept.append(selectors.strip()).append(" {").append(m.group(2)).append("}\n");
            }
        }
        return kept.toString();
    }
}
