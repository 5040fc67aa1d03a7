package tundra.app.widget;

import javafx.scene.paint.Color;

/** The colours of what is painted by hand, in both themes; the style sheet has the same roles by the same names. */
public record Palette(Color space, Color spaceSoft, Color time, Color timeSoft, Color interaction, Color interactionSoft, Color fitting,
        Color panel, Color bar, Color field, Color line, Color surround, Color ink1, Color ink2, Color ink3) {

    public static final Palette LIGHT = new Palette(c("#1C6A5E"), c("#D9EAE4"), c("#D8771F"), c("#FBE8D3"), c("#2F78A3"), c("#DCEBF3"),
            c("#82508E"), c("#F7F9F6"), c("#EDF1ED"), c("#FFFFFF"), c("#D6DED8"), c("#C9D3CF"), c("#1D2926"), c("#5C6B66"), c("#93A09B"));
    public static final Palette DARK = new Palette(c("#5CC2AE"), c("#1E3F39"), c("#F09A48"), c("#4A3320"), c("#6FB6DE"), c("#1F3A4A"),
            c("#C79AD2"), c("#18211F"), c("#1F2A27"), c("#121A18"), c("#2F3C38"), c("#26312E"), c("#E6EEEA"), c("#A3B3AD"), c("#75857F"));

    private static Color c(String web) {
        return Color.web(web);
    }

    public static Palette of(boolean dark) {
        return dark ? DARK : LIGHT;
    }
}
