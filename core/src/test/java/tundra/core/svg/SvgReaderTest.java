package tundra.core.svg;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import tundra.core.file.FileProblem;
import tundra.core.frame.FakeMeasurer;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Gradient;
import tundra.core.model.Properties;

/** Reads small drawings whose numbers are worked out by hand. */
class SvgReaderTest {
    private static SvgArt read(String body) throws FileProblem {
        return text("<svg xmlns='http://www.w3.org/2000/svg' xmlns:xlink='http://www.w3.org/1999/xlink' width='200' height='100'>" + body + "</svg>");
    }

    private static SvgArt text(String svg) throws FileProblem {
        return SvgReader.read("a.svg", svg.getBytes(StandardCharsets.UTF_8), new FakeMeasurer(), (n, d) -> {
            throw new IOException("no picture");
        });
    }

    private static Rect box(Element e) {
        Point c = e.rest().get(Properties.POSITION), s = e.rest().get(Properties.SIZE);
        return new Rect(c.x() - s.x() / 2, c.y() - s.y() / 2, s.x(), s.y());
    }

    @Test
    void shapesStandWhereTheirTransformsPutThem() throws Exception {
        var art = read("<g transform='translate(10,20) scale(2)'><rect x='1' y='2' width='10' height='5' fill='#123456'/></g>"
                + "<circle cx='50' cy='60' r='7'/><line x1='1' y1='1' x2='9' y2='1' stroke='red' stroke-width='3'/>");
        assertThat(art.size()).isEqualTo(new Point(200, 100));
        assertThat(art.elements()).hasSize(3);
        assertThat(box(art.elements().get(0))).isEqualTo(new Rect(12, 24, 20, 10));
        assertThat(art.elements().get(0).rest().get(Properties.FILL)).isEqualTo(Color.parse("#123456"));
        assertThat(box(art.elements().get(1))).isEqualTo(new Rect(43, 53, 14, 14));
        assertThat(art.elements().get(2).rest().get(Properties.STROKE)).isEqualTo(Color.parse("#FF0000"));
        assertThat(art.elements().get(2).rest().get(Properties.STROKE_WIDTH)).isEqualTo(3);
        assertThat(art.report()).isEmpty();
    }

    @Test
    void aViewBoxIsFittedIn() throws Exception {
        var art = text("<svg xmlns='http://www.w3.org/2000/svg' width='200' height='100' viewBox='0 0 10 10'><rect width='10' height='10'/></svg>");
        assertThat(box(art.elements().getFirst())).isEqualTo(new Rect(50, 0, 100, 100));
        assertThat(text("<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 30 40'><rect width='1' height='1'/></svg>").size())
                .isEqualTo(new Point(30, 40));
        assertThat(text("<svg xmlns='http://www.w3.org/2000/svg' width='1in' height='72pt'><rect width='1' height='1'/></svg>").size())
                .isEqualTo(new Point(96, 96));
    }

    @Test
    void pathDataOfAllKindsIsRead() throws Exception {
        // the standard's own arc example: a quarter of a circle of radius 150 (SVG 2, section 9.3.8)
        var art = read("<path d='M300,200 h-150 a150,150 0 1,0 150,-150 z'/>");
        Rect b = box(art.elements().getFirst());
        assertThat(b.x()).isCloseTo(150, within(0.2));
        assertThat(b.right()).isCloseTo(450, within(0.2));
        assertThat(b.bottom()).isCloseTo(350, within(0.2));
        assertThat(b.y()).isCloseTo(50, within(0.2));
        assertThat(box(read("<path d='M10 10q20-20 40 0t40 0'/>").elements().getFirst()).right()).isEqualTo(90);
        assertThat(box(read("<path d='M1-2L.5.5-3-4e0 5 6'/>").elements().getFirst())).isEqualTo(new Rect(-3, -4, 8, 10));
        // like a browser it keeps what comes before a mistake
        assertThat(box(read("<path d='M0 0L10 10L20'/>").elements().getFirst())).isEqualTo(new Rect(0, 0, 10, 10));
        var flags = read("<path d='M0 0a5 5 0 0110 0'/>").elements().getFirst();
        assertThat(box(flags).width()).isCloseTo(10, within(1e-6));
    }

    @Test
    void stylesCascade() throws Exception {
        var art = read("<style>rect{fill:blue} .a{fill:green;stroke:#000} #x{fill:#ABCDEF} g .b{opacity:0.5}</style>"
                + "<rect width='1' height='1' fill='red'/><rect class='a' width='1' height='1'/><rect id='x' class='a' width='1' height='1'/>"
                + "<g fill='rgb(10%,20%,30%)'><circle r='2' class='b' style='stroke:none'/></g>");
        assertThat(art.elements().get(0).rest().get(Properties.FILL)).isEqualTo(Color.parse("#0000FF"));
        assertThat(art.elements().get(1).rest().get(Properties.FILL)).isEqualTo(Color.parse("#008000"));
        assertThat(art.elements().get(2).rest().get(Properties.FILL)).isEqualTo(Color.parse("#ABCDEF"));
        assertThat(art.elements().get(3).rest().get(Properties.FILL)).isEqualTo(new Color(26, 51, 77, 255));
        assertThat(art.elements().get(3).rest().get(Properties.OPACITY)).isEqualTo(0.5);
    }

    @Test
    void gradientsTakeStopsByReferenceAndUnitsByTheBox() throws Exception {
        var art = read("<defs><linearGradient id='s'><stop offset='0' stop-color='#000'/><stop offset='50%' stop-color='#fff' stop-opacity='.5'/></linearGradient>"
                + "<linearGradient id='u' xlink:href='#s' gradientUnits='userSpaceOnUse' x1='20' y1='0' x2='60' y2='0'/>"
                + "<radialGradient id='r' href='#s' fx='25%'/></defs>"
                + "<rect x='20' width='80' height='40' fill='url(#u)'/><rect width='10' height='10' fill='url(#r)'/><rect width='1' height='1' fill='url(#no) #f00'/>");
        var u = (Gradient) art.elements().get(0).rest().get(Properties.FILL);
        assertThat(u.start().x()).isCloseTo(0, within(1e-9));
        assertThat(u.end().x()).isCloseTo(0.5, within(1e-9));
        assertThat(u.stops()).containsExactly(new Gradient.Stop(0, Color.BLACK), new Gradient.Stop(0.5, Color.WHITE.withAlpha(128)));
        var r = (Gradient) art.elements().get(1).rest().get(Properties.FILL);
        assertThat(r.kind()).isEqualTo(Gradient.Kind.RADIAL);
        assertThat(r.start()).isEqualTo(new Point(0.5, 0.5));
        assertThat(r.focus().x()).isCloseTo(-0.5, within(1e-9));
        assertThat(art.elements().get(2).rest().get(Properties.FILL)).isEqualTo(Color.parse("#FF0000"));
    }

    @Test
    void groupsCopiesAndClipsBecomeGroups() throws Exception {
        var art = read("<defs><g id='two'><rect width='10' height='10'/><circle cx='20' cy='5' r='5'/></g><clipPath id='c'><circle cx='50' cy='50' r='10'/></clipPath></defs>"
                + "<use href='#two' x='100' y='30'/><rect id='Snow_field' x='40' y='40' width='40' height='20' clip-path='url(#c)'/>");
        var copy = art.elements().get(0);
        var inside = ((Content.Group) copy.content()).children();
        assertThat(inside).hasSize(1);
        assertThat(inside.getFirst().children()).hasSize(2);
        assertThat(copy.rest().get(Properties.POSITION)).isEqualTo(new Point(112.5, 35));
        var clipped = (Content.Group) art.elements().get(1).content();
        assertThat(clipped.clip().bounds().width()).isCloseTo(20, within(1e-9));
        assertThat(clipped.children().getFirst().name()).isEqualTo("Snow field");
    }

    @Test
    void anUnevenlyScaledStrokeBecomesAnOutline() throws Exception {
        var art = read("<line x1='0' y1='10' x2='20' y2='10' stroke='#000' stroke-width='2' transform='scale(1,5)'/>");
        assertThat(box(art.elements().getFirst())).isEqualTo(new Rect(0, 45, 20, 10));
        assertThat(art.elements().getFirst().rest().get(Properties.FILL)).isEqualTo(Color.BLACK);
    }

    @Test
    void whatCannotBeKeptIsTold() throws Exception {
        var art = read("<filter id='f'><feGaussianBlur stdDeviation='2'/></filter><mask id='m'/><rect width='9' height='9' filter='url(#f)' mask='url(#m)'/>"
                + "<image href='http://example.org/a.png' width='4' height='4'/><text x='5' y='20' font-family='Nowhere Sans'>Hut</text>"
                + "<rect width='9' height='9' marker-end='url(#q)'/><foreignObject/>");
        assertThat(art.report()).anyMatch(l -> l.contains("gaussian blur")).anyMatch(l -> l.contains("mask"))
                .anyMatch(l -> l.contains("linked picture"))
                .anyMatch(l -> l.contains("Nowhere Sans")).anyMatch(l -> l.contains("marker")).anyMatch(l -> l.contains("HTML"));
        assertThat(art.elements()).hasSize(3);
    }

    @Test
    void textStandsOnItsBaseline() throws Exception {
        var art = read("<text x='100' y='50' font-size='20' text-anchor='end'>abcd<tspan x='10' y='80' font-weight='bold'>ef</tspan></text>");
        var words = art.elements().getFirst().children();
        var first = (Content.Text) words.get(0).content();
        assertThat(first.text()).isEqualTo("abcd");
        double width = new FakeMeasurer().width("Figtree", 400, 20, "abcd", true);
        assertThat(((Content.Text) words.get(1).content()).weight()).isEqualTo(700);
        Point group = art.elements().getFirst().rest().get(Properties.POSITION).minus(((Content.Group) art.elements().getFirst().content()).box()
                .times(0.5));
        assertThat(group.plus(words.get(0).rest().get(Properties.POSITION)).x()).isCloseTo(100 - width, within(1e-6));
    }

    @Test
    void brokenAndHostileFilesGiveOneSentence() {
        String entity = "<!DOCTYPE svg [<!ENTITY a 'aaaaaaaaaa'><!ENTITY b '&a;&a;&a;&a;&a;&a;&a;&a;&a;&a;'><!ENTITY c '&b;&b;&b;&b;&b;&b;&b;&b;&b;&b;'>"
                + "<!ENTITY d '&c;&c;&c;&c;&c;&c;&c;&c;&c;&c;'><!ENTITY e '&d;&d;&d;&d;&d;&d;&d;&d;&d;&d;'><!ENTITY f '&e;&e;&e;&e;&e;&e;&e;&e;&e;&e;'>]>"
                + "<svg xmlns='http://www.w3.org/2000/svg'><text>&f;&f;&f;&f;&f;&f;&f;&f;&f;&f;</text></svg>";
        String deep = "<svg xmlns='http://www.w3.org/2000/svg'>" + "<g>".repeat(2000) + "</g>".repeat(2000) + "</svg>";
        for (String bad : List.of("", "<svg", "<html/>", "just words", entity, deep)) {
            assertThatThrownBy(() -> text(bad)).isInstanceOf(FileProblem.class).hasMessageStartingWith("“a.svg” can't be brought in: ")
                    .hasMessageEndingWith("Nothing was changed.").message().hasLineCount(1);
        }
    }

    @Test
    void nothingOutsideOfTheFileIsRead() throws Exception {
        var art = text("<!DOCTYPE svg [<!ENTITY x SYSTEM 'file:///etc/hostname'>]><svg xmlns='http://www.w3.org/2000/svg'><text>[&x;]</text></svg>");
        var t = (Content.Text) art.elements().getFirst().content();
        assertThat(t.text()).isEqualTo("[]");
    }
}
