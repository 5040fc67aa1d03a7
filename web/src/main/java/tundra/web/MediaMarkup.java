package tundra.web;

import tundra.core.block.FieldLayout;
import tundra.core.block.PageLayout;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Blocks;
import tundra.core.model.Content;

/** Videos, sounds and pages within the page. */
final class MediaMarkup extends BlockHtml {
    MediaMarkup(Target to) {
        super(to);
    }

    void video(Content.Block b) {
        String k = name + "-k";
        whole(k);
        css.put(k, "object-fit", b.text(Blocks.FITS).equals("stretch") ? "fill" : b.text(Blocks.FITS).equals("contain") ? "contain" : "cover");
        css.put(k, "border-radius", radius(b, box(b)));
        Asset a = project.assets().get(b.text(Blocks.VIDEO_FILE));
        boolean timed = b.text(Blocks.TIME_BY).equals("the timeline's");
        media(b, "video", a, " playsinline preload=\"metadata\"", b.is(Blocks.MUTED) || b.is(Blocks.STARTS) || timed, timed);
    }

    static String posterPath(Content.Block b, Asset a) {
        return "videos/" + a.hash().substring(0, 16) + "-" + still(b) / 1000 + ".jpg";
    }

    static String mediaPath(Asset a) {
        return (a.kind() == Asset.Kind.VIDEO ? "videos/" : "sounds/") + a.hash().substring(0, 16) + "." + a.ending();
    }

    /** When the still of a video is, in µs. */
    static long still(Content.Block b) {
        return Math.max((Long) b.get(Blocks.FROM), (Long) b.get(Blocks.POSTER_AT));
    }

    void sound(Content.Block b) {
        whole(name + "-k");
        media(b, "audio", project.assets().get(b.text(Blocks.SOUND_FILE)), " preload=\"metadata\"", false, false);
    }

    private void media(Content.Block b, String tag, Asset a, String more, boolean muted, boolean timed) {
        open(tag, name + "-k t--b", more + " aria-label=\"" + spoken(b) + "\"" + (b.is(Blocks.CONTROLS) && !timed ? " controls" : "")
                + (muted ? " muted" : "") + (a == null ? "" : attribute("src", mediaPath(a))));
        out.append("</").append(tag).append(">\n");
    }

    void page(Content.Block b) {
        String k = name + "-k", folder = b.text(Blocks.FOLDER), address = b.text(Blocks.ADDRESS);
        whole(k);
        css.put(k, "background-color", hex(b, Blocks.GROUND));
        css.put(k + " iframe", "border", "0");
        css.put(k + " iframe", "width", "100%");
        css.put(k + " iframe", "height", "100%");
        String src = folder.isEmpty() ? address : folderPath(folder) + "index.html";
        open("div", k + " t--b", attribute("data-src", src) + attribute("data-sandbox", rights(b)) + " data-title=\"" + spoken(b) + "\"");
        if (folder.isEmpty() && (b.is(Blocks.ASKS_FIRST) || address.isEmpty())) {
            PageLayout l = PageLayout.of(b);
            words(b, name + "-t", l.words(), Blocks.INK, b.number(Blocks.LETTERS), new Point(0, l.top()), b.box().x());
            if (!address.isEmpty()) {
                place(name + "-y", l.button());
                css.put(name + "-y", "background-color", hex(b, Blocks.ACCENT));
                css.put(name + "-y", "border-radius", CssText.px(PageLayout.CORNERS));
                css.put(name + "-y", "border", "0");
                css.put(name + "-y", "padding", "0");
                css.put(name + "-y", "cursor", "pointer");
                open("button", name + "-y t--b", " type=\"button\" aria-label=\"" + PageLayout.SHOW + ": " + Markup.escape(l.words()) + "\"");
                words(b, name + "-yt", PageLayout.SHOW, Blocks.GROUND, b.number(Blocks.LETTERS),
                        new Point(0, (l.button().height() - b.number(Blocks.LETTERS) * FieldLayout.LINE) / 2), l.button().width());
                out.append("</button>");
            }
        } else if (!src.isEmpty()) {
            out.append("<iframe").append(attribute("src", src)).append(attribute("sandbox", rights(b))).append(" title=\"").append(spoken(b))
                    .append("\" loading=\"lazy\" referrerpolicy=\"no-referrer\"></iframe>");
        }
        out.append("</div>\n");
    }

    static String folderPath(String hash) {
        return "pages/" + hash.substring(0, 16) + "/";
    }

    private static String rights(Content.Block b) {
        return ((b.is(Blocks.MAY_SCRIPT) ? "allow-scripts " : "") + (b.is(Blocks.MAY_FILL) ? "allow-same-origin " : "")
                + (b.is(Blocks.MAY_SEND) ? "allow-forms " : "") + (b.is(Blocks.MAY_OPEN) ? "allow-popups allow-top-navigation-by-user-activation "
                : "")).strip();
    }
}
