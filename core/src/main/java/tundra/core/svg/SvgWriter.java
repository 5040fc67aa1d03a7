package tundra.core.svg;

import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.Map;
import tundra.core.frame.Filter;
import tundra.core.frame.Form;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameNode;
import tundra.core.frame.Look;
import tundra.core.frame.Mark;
import tundra.core.frame.StrokeStyle;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Color;
import tundra.core.model.Element;
import tundra.core.model.FontSource;
import tundra.core.model.Gradient;
import tundra.core.model.Paint;
import tundra.core.model.Place;
import tundra.core.model.Project;
import tundra.core.model.Tree;

/** A frame as one SVG file that holds all it needs: pictures and fonts lie in it. */
public final class SvgWriter {
    private final Project project;
    private final FontSource fonts;
    private final StringBuilder body = new StringBuilder();
    private final StringBuilder definitions = new StringBuilder();
    private final Map<String, byte[]> faces = new LinkedHashMap<>();
    private final Map<String, String> names = new LinkedHashMap<>();
    private int next;

    SvgWriter(Project project, FontSource fonts) {
        this.project = project;
        this.fonts = fonts;
        for (Place s : project.places()) {
            Tree.each(s.board().elements(), (Element e) -> names.put(e.id(), e.name()));
        }
    }

    public static String write(Project project, Frame frame, FontSource fonts) {
        return new SvgWriter(project, fonts).write(frame);
    }

    private String write(Frame f) {
        if (f.background().visible()) {
            mark(new Mark.Fill(new Form.Box(f.size(), 0), f.background(), f.size()));
            body.append('\n');
        }
        f.nodes().forEach(this::node);
        return file(f.size(), "");
    }

    /** The file of what was written so far. @param css rules of its own */
    String file(Point size, String css) {
        String w = plain(size.x()), h = plain(size.y());
        var out = new StringBuilder("<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"").append(w).append("\" height=\"").append(h)
                .append("\" viewBox=\"0 0 ").append(w).append(' ').append(h).append("\">\n");
        if (!faces.isEmpty() || !css.isEmpty()) {
            out.append("<style>").append(css);
            if (!faces.isEmpty()) {
                out.append("text{text-rendering:geometricPrecision;white-space:pre}");
            }
            faces.forEach((name, data) -> out.append("@font-face{font-family:'").append(name).append("';src:url(data:font/ttf;base64,")
                    .append(Base64.getEncoder().encodeToString(data)).append(")}"));
            out.append("</style>\n");
        }
        if (!definitions.isEmpty()) {
            out.append("<defs>\n").append(definitions).append("</defs>\n");
        }
        return out.append(body).append("</svg>\n").toString();
    }

    /** Letters that were written so far. */
    int length() {
        return body.length() + definitions.length();
    }

    void raw(String text) {
        body.append(text);
    }

    private static String plain(double v) {
        return Numbers.plain(v, 4);
    }

    private void node(FrameNode n) {
        if (n.opacity() <= 0) {
            return;
        }
        open(n, "");
        n.marks().forEach(this::mark);
        clips(n);
        n.children().forEach(this::node);
        close(n);
        body.append('\n');
    }

    /** Begins a node. @param css the class that it gets; empty for none */
    void open(FrameNode n, String css) {
        body.append("<g");
        if (!css.isEmpty()) {
            body.append(" class=\"").append(css).append('"');
        }
        if (!n.toParent().equals(Affine.IDENTITY)) {
            body.append(" transform=\"matrix(").append(GradientText.matrix(n.toParent())).append(")\"");
        }
        if (n.opacity() < 1) {
            body.append(" opacity=\"").append(Numbers.plain(n.opacity(), 5)).append('"');
        }
        look(n);
        body.append('>');
        String name = names.get(n.id());
        if (name != null) {
            body.append("<title>").append(escape(name)).append("</title>");
        }
    }

    /** What follows lies in what a node is cut to. */
    void clips(FrameNode n) {
        for (Outline clip : n.clips()) {
            String id = "c" + next++;
            definitions.append("<clipPath id=\"").append(id).append("\"><path d=\"").append(clip.svgPath()).append("\"/></clipPath>\n");
            body.append("<g clip-path=\"url(#").append(id).append(")\">");
        }
    }

    /** Ends a node whose clips were written. */
    void close(FrameNode n) {
        body.append("</g>".repeat(n.clips().size())).append("</g>");
    }

    /** Its effects, and how it blends. */
    private void look(FrameNode n) {
        Look look = n.look();
        if (!look.filters().isEmpty() && n.content() != null) {
            String id = "x" + next++;
            FilterText.definition(definitions, id, look.filters(), n.content().grow(1 + look.filters().stream().mapToDouble(Filter::reach).sum()),
                    null);
            definitions.append('\n');
            body.append(" filter=\"url(#").append(id).append(")\"");
        }
        if (!look.blend().equals("normal") || look.isolated()) {
            body.append(" style=\"").append(look.blend().equals("normal") ? "" : "mix-blend-mode:" + look.blend() + ";")
                    .append(look.isolated() ? "isolation:isolate" : "").append('"');
        }
    }

    void mark(Mark m) {
        switch (m) {
            case Mark.Fill f -> form(f.form(), paint("fill", f.paint(), f.box()));
            case Mark.Stroke s -> form(s.form(), " fill=\"none\"" + paint("stroke", s.paint(), s.box()) + stroke(s.style()));
            case Mark.Image i -> image(i);
            // a drawing holds no video
            case Mark.Film f -> { }
            case Mark.Glyphs g -> glyphs(g);
        }
    }

    private static String stroke(StrokeStyle s) {
        var out = new StringBuilder(" stroke-width=\"").append(plain(s.width())).append('"');
        if (!s.ends().equals("butt")) {
            out.append(" stroke-linecap=\"").append(s.ends()).append('"');
        }
        if (!s.joins().equals("miter")) {
            out.append(" stroke-linejoin=\"").append(s.joins()).append('"');
        }
        if (!s.pattern().isEmpty()) {
            out.append(" stroke-dasharray=\"");
            s.pattern().forEach(d -> out.append(plain(d)).append(' '));
            out.append("\" stroke-dashoffset=\"").append(plain(s.offset())).append('"');
        }
        return out.toString();
    }

    private void form(Form form, String look) {
        switch (form) {
            case Form.Box b -> {
                double q = Math.min(b.radius(), Math.min(b.size().x(), b.size().y()) / 2);
                body.append("<rect width=\"").append(plain(b.size().x())).append("\" height=\"").append(plain(b.size().y())).append('"')
                        .append(q > 0 ? " rx=\"" + plain(q) + "\"" : "");
            }
            case Form.Oval o -> body.append("<ellipse cx=\"").append(plain(o.size().x() / 2)).append("\" cy=\"").append(plain(o.size().y() / 2))
                    .append("\" rx=\"").append(plain(o.size().x() / 2)).append("\" ry=\"").append(plain(o.size().y() / 2)).append('"');
            case Form.Curve c -> body.append("<path d=\"").append(c.outline().svgPath()).append('"')
                    .append(c.evenOdd() ? " fill-rule=\"evenodd\"" : "");
        }
        body.append(look).append("/>");
    }

    private String paint(String property, Paint p, Point box) {
        return switch (p) {
            case Color c -> " " + property + "=\"" + c.withAlpha(255).hex() + "\""
                    + (c.alpha() < 255 ? " " + property + "-opacity=\"" + Numbers.plain(c.alpha() / 255.0, 5) + "\"" : "");
            case Gradient g -> " " + property + "=\"url(#" + gradient(g, box) + ")\"";
        };
    }

    private String gradient(Gradient g, Point box) {
        String id = "g" + next++;
        GradientText.definition(definitions, id, g, "userSpaceOnUse", g.toBox(box));
        definitions.append('\n');
        return id;
    }

    private void image(Mark.Image i) {
        Asset a = project.assets().get(i.asset());
        if (a != null) {
            body.append("<image width=\"").append(plain(i.size().x())).append("\" height=\"").append(plain(i.size().y()))
                    .append("\" preserveAspectRatio=\"none\" href=\"data:").append(a.mediaType()).append(";base64,")
                    .append(Base64.getEncoder().encodeToString(a.data())).append("\"/>");
        }
    }

    private void glyphs(Mark.Glyphs g) {
        var t = g.text();
        String face = t.family() + " " + t.weight();
        faces.computeIfAbsent(face, k -> fonts.file(t.family(), t.weight()));
        body.append("<text font-family=\"'").append(escape(face)).append("'\" font-size=\"").append(plain(t.size())).append('"')
                .append(paint("fill", g.paint(), g.layout().box()));
        if (t.spacing() != 0) {
            body.append(" letter-spacing=\"").append(plain(t.spacing())).append('"');
        }
        body.append('>');
        g.layout().lines().forEach(l -> body.append("<tspan x=\"").append(plain(l.x())).append("\" y=\"").append(plain(l.baseline())).append("\">")
                .append(escape(l.text())).append("</tspan>"));
        body.append("</text>");
    }

    private static String escape(String s) {
        var b = new StringBuilder();
        s.codePoints().filter(c -> c >= 32 || c == '\t').forEach(c -> {
            switch (c) {
                case '&' -> b.append("&amp;");
                case '<' -> b.append("&lt;");
                case '>' -> b.append("&gt;");
                case '"' -> b.append("&quot;");
                default -> b.appendCodePoint(c);
            }
        });
        return b.toString();
    }
}
