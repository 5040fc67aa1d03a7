package tundra.core.fit;

import tundra.core.geometry.Point;
import tundra.core.model.Layout;

/** Layouts by what they are for. */
public enum Preset {
    PHONE("Phone", "held upright, narrower than 560 px", 0, 560, new Point(360, 640)),
    TABLET("Tablet", "560 to 959 px", 560, 960, new Point(768, 900)),
    BANNER("Banner", "low and wide, from 1400 px on", 1400, Layout.WIDEST, new Point(1600, 320));

    public final String label;
    public final String what;
    public final int from;
    public final int to;
    public final Point size;

    Preset(String label, String what, int from, int to, Point size) {
        this.label = label;
        this.what = what;
        this.from = from;
        this.to = to;
        this.size = size;
    }
}
