package tundra.core.edit;

import java.util.Arrays;
import java.util.stream.Collectors;
import tundra.core.geometry.Numbers;
import tundra.core.model.Color;
import tundra.core.model.Paint;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Setting;
import tundra.core.model.ValueType;

/** Values of properties as they are typed: numbers in the units that are shown, with commas between them; colours as in CSS. */
public final class SettingText {
    private SettingText() {}

    /** Whether a property can be set by an action. */
    public static boolean possible(Property<?> p) {
        return p.type() != ValueType.OUTLINE && !Properties.keysOnly(p) && p != Properties.ISOLATE;
    }

    /** Whether an action can change a property by an amount. */
    public static boolean changes(Property<?> p) {
        return possible(p) && !(p.type() instanceof ValueType.ChoiceType);
    }

    @SuppressWarnings("unchecked")
    public static String of(Setting s) {
        return switch (s.value()) {
            case String word -> word;
            case Color c -> c.hex();
            case Paint x -> x.main().hex();
            default -> Arrays.stream(((ValueType<Object>) s.property().type()).parts(s.value()))
                    .mapToObj(x -> Numbers.plain(x * s.property().shown(), 3)).collect(Collectors.joining(", "));
        };
    }

    /** What is typed for a property. */
    public static String hint(Property<?> p) {
        if (p.type() == ValueType.COLOR || p.type() == ValueType.PAINT) {
            return "a colour, such as #C96F1F.";
        }
        String unit = p.unit().isEmpty() ? "" : " in " + p.unit();
        return (p.parts().size() > 1 ? String.join(", ", p.parts()) : "a number") + unit + ".";
    }

    /** Throws an IllegalArgumentException with one sentence when a text is no value of the property. */
    public static Setting parse(Property<?> p, String text) {
        return parse(p, text, p.min(), p.max());
    }

    /** The same for by how much the property changes. */
    public static Setting change(Property<?> p, String text) {
        return parse(p, text, -p.furthest(), p.furthest());
    }

    @SuppressWarnings("unchecked")
    private static Setting parse(Property<?> p, String text, double min, double max) {
        if (p.type() == ValueType.COLOR || p.type() == ValueType.PAINT) {
            String hex = text.strip().startsWith("#") ? text.strip() : "#" + text.strip();
            if (!hex.matches("#([0-9A-Fa-f]{6}|[0-9A-Fa-f]{8})")) {
                throw new IllegalArgumentException("“" + text + "” is no colour: six or eight digits from 0 to F.");
            }
            return new Setting(p, Color.parse(hex));
        }
        if (p.type() instanceof ValueType.ChoiceType c) {
            if (!c.options().contains(text)) {
                throw new IllegalArgumentException("It should be one of " + String.join(", ", c.options()) + ".");
            }
            return new Setting(p, text);
        }
        String[] parts = text.split("[,;]\\s+|;|,(?=\\s*-?[0-9.]+\\s*(,|$))");
        int count = Math.max(1, p.parts().size());
        double[] out = new double[count];
        for (int i = 0; i < count; i++) {
            double v = Arithmetic.parse(parts[Math.min(i, parts.length - 1)]) / p.shown();
            if (v < min || v > max) {
                throw new IllegalArgumentException(p.label() + (min < p.min() || max > p.max() ? " changes by something" : " lies") + " between "
                        + Numbers.plain(min * p.shown(), 2) + " and " + Numbers.plain(max * p.shown(), 2) + ".");
            }
            out[i] = v;
        }
        return new Setting(p, ((ValueType<Object>) p.type()).of(out));
    }
}
