package tundra.core.model;

import java.util.List;
import java.util.Locale;
import java.util.function.Supplier;

/** The table of effects: what each is called and which properties it has. The arithmetic of each stands in {@code frame.Filters}. */
public enum EffectKind {
    BLUR("Blur", () -> List.of(Properties.BLUR)),
    BRIGHTNESS("Brightness", () -> List.of(Properties.BRIGHTNESS)),
    CONTRAST("Contrast", () -> List.of(Properties.CONTRAST)),
    SATURATION("Saturation", () -> List.of(Properties.SATURATION)),
    HUE("Hue turn", () -> List.of(Properties.HUE)),
    INVERT("Invert", () -> List.of(Properties.INVERT)),
    CHANNELS("Channels", () -> List.of(Properties.SLOPE, Properties.OFFSET)),
    TINT("Tint", () -> List.of(Properties.TINT, Properties.TINT_AMOUNT)),
    DROP_SHADOW("Drop shadow", () -> List.of(Properties.SHADOW_OFFSET, Properties.SHADOW_BLUR, Properties.SHADOW_COLOR)),
    INNER_SHADOW("Inner shadow", () -> List.of(Properties.SHADOW_OFFSET, Properties.SHADOW_BLUR, Properties.SHADOW_COLOR)),
    LONG_SHADOW("Long shadow", () -> List.of(Properties.LONG_DIRECTION, Properties.LONG_LENGTH, Properties.LONG_FADE, Properties.SHADOW_COLOR));

    public final String label;
    private final Supplier<List<Property<?>>> properties;

    EffectKind(String label, Supplier<List<Property<?>>> properties) {
        this.label = label;
        this.properties = properties;
    }

    /** In the order in which they are shown. */
    public List<Property<?>> properties() {
        return properties.get();
    }

    /** Its name in the file. */
    public String key() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** Null for a word that is none. */
    public static EffectKind byKey(String key) {
        for (EffectKind k : values()) {
            if (k.key().equals(key)) {
                return k;
            }
        }
        return null;
    }
}
