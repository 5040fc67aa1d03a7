package tundra.core.flip;

import java.util.ArrayList;
import java.util.List;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Content;
import tundra.core.model.Drawing;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Properties;
import tundra.core.model.Values;

/** Flipbooks of pictures. */
public final class SheetBook {
    private SheetBook() {}

    /**
     * A looping flipbook of pictures in their own size, each on a drawing of its own.
     *
     * @param pictures in order; null leaves its frames empty
     * @param hold frames for each
     */
    public static Element of(String name, List<Asset> pictures, int hold, int rate, Point at) {
        double w = 1, h = 1;
        for (Asset a : pictures) {
            w = a == null ? w : Math.max(w, a.width());
            h = a == null ? h : Math.max(h, a.height());
        }
        Point box = new Point(w, h);
        var drawings = new ArrayList<Drawing>();
        for (int i = 0; i < pictures.size(); i++) {
            Asset a = pictures.get(i);
            if (a != null) {
                var picture = new Element(a.title(), new Content.Picture(a.hash()), Values.NONE.with(Properties.POSITION, box.times(0.5))
                        .with(Properties.SIZE, new Point(a.width(), a.height())));
                drawings.add(new Drawing(Flipbook.blank("Drawing " + (drawings.size() + 1), box).withChildren(List.of(picture)), i * hold, hold));
            }
        }
        return new Element(name, new Flipbook(drawings, box, rate, Flipbook.Ending.LOOP), Values.NONE.with(Properties.POSITION, at));
    }
}
