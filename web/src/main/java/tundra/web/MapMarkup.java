package tundra.web;

import java.util.List;
import tundra.core.block.FieldLayout;
import tundra.core.block.MapView;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Blocks;
import tundra.core.model.Content;

/** Maps: their shapes, places, buttons and search. */
final class MapMarkup extends BlockHtml {
    MapMarkup(Target to) {
        super(to);
    }

    void map(Content.Block b) {
        String k = name + "-k";
        whole(k);
        css.put(k, "overflow", "hidden");
        css.put(k, "border-radius", radius(b, box(b)));
        css.put(k, "background-color", hex(b, Blocks.LAND));
        if (b.is(Blocks.PANS)) {
            css.put(k, "touch-action", "none");
            css.put(k, "cursor", "grab");
        }
        open("div", k + " t--b", " role=\"group\" aria-roledescription=\"map\" aria-label=\"" + spoken(b) + "\""
                + (b.is(Blocks.PANS) || b.is(Blocks.ZOOMS) ? " tabindex=\"0\"" : ""));
        out.append("<svg class=\"t-p\" aria-hidden=\"true\"><g class=\"").append(name).append("-g\" transform=\"translate(")
                .append(Numbers.plain(b.box().x() / 2, 4)).append(" ").append(Numbers.plain(b.box().y() / 2, 4)).append(")\">");
        Affine middle = Affine.translate(-b.box().x() / 2, -b.box().y() / 2);
        int n = 0;
        for (MapView.Shape s : MapView.shapes(b)) {
            out.append("<path class=\"").append(name).append("-g").append(n++).append("\" d=\"").append(s.outline().through(middle).svgPath())
                    .append("\" fill-rule=\"evenodd\" fill=\"").append(s.fill() == null ? "none" : s.fill().hex()).append('"');
            if (s.stroke() != null) {
                out.append(" stroke=\"").append(s.stroke().hex()).append("\" stroke-width=\"").append(Numbers.plain(s.width(), 2))
                        .append("\" stroke-linecap=\"round\" stroke-linejoin=\"round\" vector-effect=\"non-scaling-stroke\"");
                out.append(s.dash() > 0 ? " stroke-dasharray=\"" + Numbers.plain(s.dash(), 2) + "\"" : "");
            }
            out.append("/>");
        }
        out.append("</g></svg><ul class=\"").append(name).append("-l\">");
        css.put(name + "-l", "list-style", "none");
        css.put(name + "-l", "margin", "0");
        css.put(name + "-l", "padding", "0");
        pins(b);
        out.append("</ul>");
        controls(b);
        out.append("</div>\n");
    }

    private void pins(Content.Block b) {
        List<MapView.Pin> pins = MapView.pins(b);
        double letters = b.number(Blocks.LETTERS), r = MapView.PIN;
        for (int i = 0; i < pins.size(); i++) {
            MapView.Pin p = pins.get(i);
            String li = name + "-p" + i;
            css.put(li, "position", "absolute");
            css.put(li, "translate", CssText.px(p.at().x()) + " " + CssText.px(p.at().y()));
            open("li", li, attribute("data-at", Numbers.plain(p.degrees().x(), 7) + " " + Numbers.plain(p.degrees().y(), 7)));
            String words = p.name().isEmpty() ? "Place " + (i + 1) : p.name();
            open("button", li + "b t--pin t--b", " type=\"button\"" + attribute("aria-label", words));
            out.append("</button><svg class=\"t-p\" aria-hidden=\"true\"><circle r=\"").append(Numbers.plain(r, 2))
                    .append("\" fill=\"#fff\"/><circle r=\"").append(Numbers.plain(r - MapView.PIN_LINE, 2)).append("\" fill=\"")
                    .append(hex(b, Blocks.PLACES)).append("\"/></svg>");
            if (b.is(Blocks.LABELS) && !p.name().isEmpty()) {
                words(b, li + "t", p.name(), Blocks.INK, letters, new Point(r + 4, -letters * FieldLayout.LINE / 2), 0);
            }
            out.append("</li>");
        }
    }

    private void controls(Content.Block b) {
        if (b.is(Blocks.ZOOMS)) {
            for (boolean in : new boolean[] {true, false}) {
                Rect r = MapView.zoomButton(b, in);
                String part = name + (in ? "-zi" : "-zo");
                place(part, r);
                css.put(part, "background-color", "#FFFFFF");
                css.put(part, "border", "0");
                css.put(part, "border-radius", CssText.px(MapView.CORNERS));
                css.put(part, "padding", "0");
                open("button", part + " t--b", " type=\"button\" aria-label=\"Zoom " + (in ? "in" : "out") + "\"");
                out.append("<svg class=\"t-p\" aria-hidden=\"true\"><path d=\"").append(MapView.sign(in).svgPath())
                        .append("\" fill=\"none\" stroke=\"").append(hex(b, Blocks.INK))
                        .append("\" stroke-width=\"2\" stroke-linecap=\"round\"/></svg></button>");
            }
        }
        if (b.is(Blocks.SEARCHES)) {
            Rect r = MapView.searchField(b);
            place(name + "-q", r);
            input(b, name + "-q", CssText.px(MapView.CORNERS), "#FFFFFF", "#FFFFFF");
            out.append("<input class=\"").append(name)
                    .append("-q t--b\" type=\"search\" autocomplete=\"off\" role=\"combobox\" aria-expanded=\"false\" aria-autocomplete=\"list\" placeholder=\"").append(MapView.SEARCH).append("\" aria-label=\"Search places on the map\">");
            css.put(name + "-r", "position", "absolute");
            css.put(name + "-r", "left", CssText.px(r.x()));
            css.put(name + "-r", "top", CssText.px(r.y() + r.height() + 4));
            css.put(name + "-r", "width", CssText.px(r.width()));
            css.put(name + "-r", "font", "400 " + CssText.px(b.number(Blocks.LETTERS)) + "/1.3 " + face(b, 400));
            css.put(name + "-r", "color", hex(b, Blocks.INK));
            out.append("<ul class=\"").append(name).append("-r t--found\" role=\"listbox\" aria-label=\"Places found\" hidden></ul>");
        }
    }
}
