package tundra.core.flip;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import tundra.core.edit.Arrange;
import tundra.core.edit.NaturalOrder;
import tundra.core.frame.Frame;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Content;
import tundra.core.model.Drawing;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Ids;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Tree;
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
                drawings.add(drawing(drawings.size() + 1, box, picture(a, box), i * hold, hold));
            }
        }
        return new Element(name, new Flipbook(drawings, box, rate, Flipbook.Ending.LOOP), Values.NONE.with(Properties.POSITION, at));
    }

    /** Pictures in the order that they are meant in: by their numbers where they are numbered alike, else as they stand, line by line. */
    public static List<Element> inOrder(List<Element> pictures, Frame seen) {
        if (NaturalOrder.numbered(pictures.stream().map(Element::name).toList())) {
            return pictures.stream().sorted((a, b) -> NaturalOrder.OF_NAMES.compare(a.name(), b.name())).toList();
        }
        var all = new ArrayList<Frame.Placed>();
        pictures.forEach(e -> all.add(seen.find(e.id())));
        if (all.contains(null)) {
            return pictures;
        }
        double line = all.stream().mapToDouble(p -> p.bounds().height()).max().orElse(1) / 2;
        double top = all.stream().mapToDouble(p -> p.bounds().centre().y()).min().orElse(0);
        return pictures.stream().sorted(Comparator.<Element>comparingLong(e -> Math.round((seen.find(e.id()).bounds().centre().y() - top) / line / 2))
                .thenComparingDouble(e -> seen.find(e.id()).bounds().centre().x())).toList();
    }

    /** A looping flipbook of picture elements, each on a drawing of its own with its middle in that of the box. */
    public static Element ofElements(String name, List<Element> pictures, int hold, int rate, Point at) {
        double w = 1, h = 1;
        for (Element e : pictures) {
            w = Math.max(w, e.rest().get(Properties.SIZE).x());
            h = Math.max(h, e.rest().get(Properties.SIZE).y());
        }
        Point box = new Point(w, h);
        var drawings = new ArrayList<Drawing>();
        for (Element e : pictures) {
            Element own = e.withId(Ids.next()).with(Properties.POSITION, box.times(0.5)).with(Properties.PIVOT, new Point(0.5, 0.5));
            drawings.add(drawing(drawings.size() + 1, box, own, drawings.size() * hold, hold));
        }
        return new Element(name, new Flipbook(drawings, box, rate, Flipbook.Ending.LOOP), Values.NONE.with(Properties.POSITION, at));
    }

    /** New drawings of a flipbook, one for each picture, in the middle of its box. */
    public static List<Drawing> drawings(Flipbook book, List<Asset> pictures, int hold) {
        var out = new ArrayList<Drawing>();
        for (Asset a : pictures) {
            out.add(drawing(book.drawings().size() + out.size() + 1, book.box(), picture(a, book.box()), out.size() * hold, hold));
        }
        return out;
    }

    private static Element picture(Asset a, Point box) {
        return new Element(a.title(), new Content.Picture(a.hash()), Values.NONE.with(Properties.POSITION, box.times(0.5))
                .with(Properties.SIZE, new Point(a.width(), a.height())));
    }

    private static Drawing drawing(int number, Point box, Element picture, int start, int hold) {
        return new Drawing(Flipbook.blank("Drawing " + number, box).withChildren(List.of(picture)), start, hold);
    }

    /** A picture element that shows another file as high as the one before, with its own proportions. */
    public static Element replaced(Element picture, Asset by) {
        double height = picture.rest().get(Properties.SIZE).y();
        return picture.withContent(new Content.Picture(by.hash()))
                .with(Properties.SIZE, new Point(by.height() == 0 ? height : height * by.width() / by.height(), height));
    }

    /** A flipbook as large beside its drawings as a picture of the sheet stood beside its pixels, around the same point and under its name. */
    public static Element like(Element book, Element picture, Asset sheet) {
        Point size = picture.rest().get(Properties.SIZE), scale = picture.rest().get(Properties.SCALE);
        return book.withName(picture.name()).with(Properties.POSITION, picture.rest().get(Properties.POSITION))
                .with(Properties.ROTATION, picture.rest().get(Properties.ROTATION))
                .with(Properties.SCALE, new Point(scale.x() * size.x() / sheet.width(), scale.y() * size.y() / sheet.height()));
    }

    /**
     * A project with a flipbook and its pictures.
     *
     * @param pictures null for drawings that are empty
     * @param instead the element whose place it takes; null, or one that isn't there, puts it in front of all
     */
    public static Project place(Project p, String scene, Element book, List<Asset> pictures, String instead) {
        Project out = p;
        for (Asset a : pictures) {
            out = a == null ? out : out.withAsset(a);
        }
        return out.mapBoard(scene, b -> instead == null || b.find(instead) == null ? Arrange.add(b, book)
                : Arrange.delete(b.withElements(Tree.replace(b.elements(), instead, e -> List.of(e, book))), List.of(instead)));
    }
}
