package tundra.web;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.List;
import tundra.core.block.FieldLayout;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Blocks;
import tundra.core.model.Content;

/** Links, and what a visitor fills in. */
final class FieldMarkup extends BlockHtml {
    FieldMarkup(Target to) {
        super(to);
    }

    private static String subject(Content.Block b) {
        return b.text(Blocks.SUBJECT).isEmpty() ? "" : "?subject=" + URLEncoder.encode(b.text(Blocks.SUBJECT), StandardCharsets.UTF_8)
                .replace("+", "%20");
    }

    void call(Content.Block b) {
        link(b, "tel:" + b.text(Blocks.PHONE).replaceAll("[^+0-9]", ""), b.text(Blocks.WORDS).isEmpty() ? b.text(Blocks.PHONE)
                : b.text(Blocks.WORDS));
    }

    void mail(Content.Block b) {
        link(b, "mailto:" + b.text(Blocks.MAIL) + subject(b), b.text(Blocks.WORDS).isEmpty() ? b.text(Blocks.MAIL) : b.text(Blocks.WORDS));
    }

    private void link(Content.Block b, String href, String words) {
        String k = name + "-k";
        whole(k);
        css.put(k, "background-color", hex(b, Blocks.GROUND));
        css.put(k, "border-radius", radius(b, box(b)));
        open("a", k + " t--b", attribute("href", href) + attribute("aria-label", words));
        words(b, name + "-t", words, Blocks.INK, b.number(Blocks.LETTERS),
                new Point(0, (b.box().y() - b.number(Blocks.LETTERS) * FieldLayout.LINE) / 2), b.box().x());
        out.append("</a>\n");
    }

    void area(Content.Block b) {
        whole(name + "-k");
        open("a", name + "-k t--b", attribute("href", b.text(Blocks.LINK)) + (b.text(Blocks.TAB).equals("a new tab")
                ? " target=\"_blank\" rel=\"noopener\"" : "") + " aria-label=\"" + spoken(b) + "\"");
        out.append("</a>\n");
    }

    private String label(Content.Block b) {
        return b.text(Blocks.LABEL).isEmpty() ? element.called() : b.text(Blocks.LABEL);
    }

    private void begin(Content.Block b, String tag, String more) {
        whole(name + "-k");
        open(tag, name + "-k t--b", more);
        FieldLayout l = FieldLayout.of(b);
        if (l.label() != null) {
            words(b, name + "-t", b.text(Blocks.LABEL) + (b.is(Blocks.NEEDED) ? " *" : ""), Blocks.INK, b.number(Blocks.LETTERS),
                    new Point(l.label().x(), l.label().y()), 0);
        }
    }

    /** Ends with the place for what is wrong. */
    private void end(Content.Block b, String tag) {
        css.put(name + "-e", "position", "absolute");
        css.put(name + "-e", "left", "0");
        css.put(name + "-e", "top", CssText.px(b.box().y() + 2));
        css.put(name + "-e", "margin", "0");
        css.put(name + "-e", "white-space", "nowrap");
        css.put(name + "-e", "color", "#C23B3B");
        css.put(name + "-e", "font", "400 " + CssText.px(0.85 * b.number(Blocks.LETTERS)) + "/1.3 " + face(b, 400));
        out.append("</").append(tag).append("><p class=\"").append(name).append("-e t--b\" role=\"alert\" hidden></p>\n");
    }

    private String needed(Content.Block b) {
        return (b.is(Blocks.NEEDED) ? " required" : "") + " aria-label=\"" + Markup.escape(label(b)) + "\"";
    }

    void field(Content.Block b) {
        begin(b, "label", "");
        FieldLayout l = FieldLayout.of(b);
        String f = name + "-f";
        place(f, l.input());
        input(b, f, radius(b, l.input()), hex(b, Blocks.GROUND), hex(b, Blocks.LINE));
        css.put(f + "::placeholder", "color", hex(b, Blocks.LINE));
        css.put(f + "::placeholder", "opacity", "1");
        String more = needed(b) + (b.text(Blocks.HINT).isEmpty() ? "" : attribute("placeholder", b.text(Blocks.HINT)));
        if (b.text(Blocks.KIND).equals("several lines")) {
            css.put(f, "padding", CssText.px(FieldLayout.PAD - 1));
            css.put(f, "resize", "none");
            out.append("<textarea class=\"").append(f).append(" t--b\"").append(more).append('>').append(Markup.escape(start(b)))
                    .append("</textarea>");
        } else {
            String type = switch (b.text(Blocks.KIND)) {
                case "mail address" -> "email\" autocomplete=\"email";
                case "number" -> "number\" step=\"any";
                case "telephone number" -> "tel\" autocomplete=\"tel";
                default -> "text";
            };
            out.append("<input class=\"").append(f).append(" t--b\" type=\"").append(type).append('"').append(more)
                    .append(attribute("value", start(b))).append('>');
        }
        end(b, "label");
    }

    void tick(Content.Block b) {
        begin(b, "label", "");
        FieldLayout l = FieldLayout.of(b);
        String f = name + "-f";
        place(f, l.input());
        css.put(f, "appearance", "none");
        css.put(f, "margin", "0");
        css.put(f, "border", "1px solid " + hex(b, Blocks.LINE));
        css.put(f, "border-radius", CssText.px(Math.min(4, b.number(Blocks.RADIUS_OF_CORNERS))));
        css.put(f, "background-color", hex(b, Blocks.GROUND));
        css.put(f + ":checked", "background-color", hex(b, Blocks.ACCENT));
        css.put(f + ":checked", "border-color", hex(b, Blocks.ACCENT));
        css.put(f + ":not(:checked) + svg", "display", "none");
        out.append("<input class=\"").append(f).append(" t--b\" type=\"checkbox\"").append(needed(b)).append(start(b).matches("(?i)yes|true|on|1")
                ? " checked>" : ">");
        out.append("<svg class=\"t-p\" aria-hidden=\"true\"><path class=\"").append(name).append("-m\" d=\"")
                .append(FieldLayout.mark(l.input()).svgPath()).append("\" fill=\"none\" stroke=\"").append(hex(b, Blocks.GROUND))
                .append("\" stroke-width=\"2\" stroke-linecap=\"round\" stroke-linejoin=\"round\"/></svg>");
        end(b, "label");
    }

    void choice(Content.Block b) {
        FieldLayout l = FieldLayout.of(b);
        List<String> all = FieldLayout.choices(b);
        int now = all.indexOf(start(b));
        if (l.buttons().isEmpty()) {
            begin(b, "label", "");
            place(name + "-f", l.input());
            input(b, name + "-f", radius(b, l.input()), hex(b, Blocks.GROUND), hex(b, Blocks.LINE));
            css.put(name + "-f", "appearance", "none");
            out.append("<select class=\"").append(name).append("-f t--b\"").append(needed(b)).append('>');
            for (int i = 0; i < all.size(); i++) {
                out.append("<option").append(i == now ? " selected>" : ">").append(Markup.escape(all.get(i))).append("</option>");
            }
            out.append("</select><svg class=\"t-p\" aria-hidden=\"true\"><path class=\"").append(name).append("-m\" d=\"")
                    .append(FieldLayout.arrow(l.input()).svgPath()).append("\" fill=\"none\" stroke=\"").append(hex(b, Blocks.LINE))
                    .append("\" stroke-width=\"1.5\" stroke-linecap=\"round\" stroke-linejoin=\"round\"/></svg>");
            end(b, "label");
            return;
        }
        begin(b, "div", " role=\"radiogroup\" aria-label=\"" + Markup.escape(label(b)) + "\"");
        for (int i = 0; i < all.size(); i++) {
            String one = name + "-f" + i;
            Rect r = l.buttons().get(i);
            place(one, r);
            css.put(one, "border", "1px solid " + hex(b, Blocks.LINE));
            css.put(one, "border-radius", radius(b, r));
            css.put(one, "background-color", hex(b, Blocks.GROUND));
            css.put(one, "cursor", "pointer");
            css.put(one + ":has(:checked)", "background-color", hex(b, Blocks.ACCENT));
            css.put(one + ":has(:checked)", "border-color", hex(b, Blocks.ACCENT));
            css.put(one + ":has(:checked) text", "fill", hex(b, Blocks.GROUND));
            open("label", one + " t--b", "");
            out.append("<input class=\"").append(one).append("r t--radio t--b\" type=\"radio\" name=\"").append(name).append("\"")
                    .append(attribute("value", all.get(i))).append(attribute("aria-label", all.get(i))).append(b.is(Blocks.NEEDED) ? " required" : "")
                    .append(i == now ? " checked>" : ">");
            words(b, one + "t", all.get(i), Blocks.INK, b.number(Blocks.LETTERS),
                    new Point(-1, FieldLayout.middle(r, FieldLayout.line(b)) - r.y() - 1), r.width());
            out.append("</label>");
        }
        end(b, "div");
    }

    void slider(Content.Block b) {
        begin(b, "label", "");
        FieldLayout l = FieldLayout.of(b);
        double y = Math.round(l.input().y() + l.input().height() / 2), w = l.input().width(), k = FieldLayout.THUMB,
                x = k + share(b, start(b)) * (w - 2 * k), t = FieldLayout.TRACK;
        place(name + "-f", l.input());
        css.put(name + "-f", "opacity", "0");
        css.put(name + "-f", "margin", "0");
        css.put(name + "-f", "cursor", "pointer");
        out.append("<input class=\"").append(name).append("-f t--b\" type=\"range\"").append(needed(b)).append(" min=\"")
                .append(Numbers.plain(b.number(Blocks.LEAST), 9)).append("\" max=\"").append(Numbers.plain(b.number(Blocks.MOST), 9))
                .append("\" step=\"").append(Numbers.plain(b.number(Blocks.STEP), 9)).append('"')
                .append(attribute("value", start(b).isEmpty() ? Numbers.plain(b.number(Blocks.LEAST), 9) : start(b))).append('>');
        place(name + "-r", new Rect(0, y - t / 2, w, t));
        place(name + "-a", new Rect(0, y - t / 2, x, t));
        place(name + "-h", new Rect(x - k, y - k, 2 * k, 2 * k));
        css.put(name + "-r", "background-color", hex(b, Blocks.LINE));
        css.put(name + "-a", "background-color", hex(b, Blocks.ACCENT));
        css.put(name + "-h", "background-color", hex(b, Blocks.ACCENT));
        for (String part : List.of("-r", "-a", "-h")) {
            css.put(name + part, "border-radius", CssText.px(part.equals("-h") ? k : t / 2));
            css.put(name + part, "pointer-events", "none");
            open("div", name + part, "></div");
        }
        css.put(name + "-f:focus-visible ~ ." + name + "-h", "outline", "3px solid #2F78A3");
        css.put(name + "-f:focus-visible ~ ." + name + "-h", "outline-offset", "2px");
        end(b, "label");
    }
}
