package tundra.app.widget;

import javafx.geometry.VPos;
import javafx.scene.AccessibleAttribute;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.layout.Region;
import javafx.scene.text.Text;
import tundra.app.language.Language;

/**
 * Words, a mark or both. Words are shortened where room is short, once a min width allows it. Their colour is the
 * {@code -fx-fill} that a style gives to the caption. JavaFX's labels do the same and take several times as long to make.
 */
public class LightLabel extends Region {
    /** Where the mark stands. */
    public enum Place {
        BEFORE, AFTER, ABOVE
    }

    private static final double GAP = 6, GAP_BELOW = 4;
    private final Text words = new Text();
    private String text = "";
    /** As it is shown, in the language of the window. */
    private String said = "";
    private Node mark;
    private Place place = Place.BEFORE;
    private boolean centred;
    private boolean measured;

    public LightLabel(String text, String... styles) {
        getStyleClass().addAll(styles);
        setAccessibleRole(AccessibleRole.TEXT);
        words.getStyleClass().add("words");
        words.setTextOrigin(VPos.TOP);
        words.setMouseTransparent(true);
        words.setManaged(false);
        setText(text);
    }

    public final String getText() {
        return text;
    }

    /** Its words in the language of the window. */
    final String said() {
        return said;
    }

    /** What is seen of them. */
    final String shown() {
        return words.getText();
    }

    public final void setText(String text) {
        if (text.equals(this.text)) {
            return;
        }
        if (this.text.isEmpty()) {
            getChildren().add(words);
        } else if (text.isEmpty()) {
            getChildren().remove(words);
        }
        this.text = text;
        said = getProperties().containsKey(Translated.OWN) ? text : Language.of(text);
        requestLayout();
        notifyAccessibleAttributeChanged(AccessibleAttribute.TEXT);
    }

    public final void setMark(Node mark, Place place) {
        if (this.mark != null) {
            getChildren().remove(this.mark);
        }
        this.mark = mark;
        this.place = place;
        getChildren().add(mark);
    }

    /** Content stands in the middle of the room there is, instead of at its left. */
    protected final void centre() {
        centred = true;
    }

    /** The words are given to JavaFX only now, when they have their font: it would measure them in another one before. */
    private double wordsWidth() {
        if (!measured) {
            measured = true;
            words.fontProperty().addListener((o, was, is) -> requestLayout());
        }
        words.setText(said);
        return text.isEmpty() ? 0 : words.getLayoutBounds().getWidth();
    }

    private double wordsHeight() {
        return text.isEmpty() ? 0 : words.getLayoutBounds().getHeight();
    }

    /** Between mark and words. */
    private double gap() {
        return mark == null || text.isEmpty() ? 0 : place == Place.ABOVE ? GAP_BELOW : GAP;
    }

    private double markWidth() {
        return mark == null ? 0 : mark.prefWidth(-1);
    }

    private double markHeight() {
        return mark == null ? 0 : mark.prefHeight(-1);
    }

    @Override
    protected double computePrefWidth(double height) {
        double content = place == Place.ABOVE ? Math.max(markWidth(), wordsWidth()) : markWidth() + gap() + wordsWidth();
        return snappedLeftInset() + snapSizeX(content) + snappedRightInset();
    }

    @Override
    protected double computePrefHeight(double width) {
        double content = place == Place.ABOVE ? markHeight() + gap() + wordsHeight() : Math.max(markHeight(), wordsHeight());
        return snappedTopInset() + snapSizeY(content) + snappedBottomInset();
    }

    @Override
    protected double computeMinWidth(double height) {
        return computePrefWidth(height);
    }

    @Override
    protected double computeMinHeight(double width) {
        return computePrefHeight(width);
    }

    @Override
    protected double computeMaxWidth(double height) {
        return prefWidth(height);
    }

    @Override
    protected double computeMaxHeight(double width) {
        return prefHeight(width);
    }

    @Override
    protected void layoutChildren() {
        double left = snappedLeftInset(), top = snappedTopInset();
        double w = getWidth() - left - snappedRightInset(), h = getHeight() - top - snappedBottomInset();
        double mw = markWidth(), mh = markHeight(), room = place == Place.ABOVE ? w : w - mw - gap();
        Words.fit(words, said, room);
        double tw = text.isEmpty() ? 0 : words.getLayoutBounds().getWidth(), th = wordsHeight();
        if (place == Place.ABOVE) {
            put(mark, left + (w - mw) / 2, top);
            put(words, left + (w - tw) / 2, top + mh + gap());
            return;
        }
        double x = left + (centred ? Math.max(0, (w - mw - gap() - tw) / 2) : 0);
        put(mark, place == Place.BEFORE ? x : x + tw + gap(), top + (h - mh) / 2);
        put(words, place == Place.BEFORE ? x + mw + gap() : x, top + (h - th) / 2);
    }

    private void put(Node n, double x, double y) {
        if (n != null) {
            n.autosize();
            n.relocate(snapPositionX(x), snapPositionY(y));
        }
    }

    @Override
    public Object queryAccessibleAttribute(AccessibleAttribute attribute, Object... parameters) {
        if (attribute == AccessibleAttribute.TEXT) {
            return getAccessibleText() != null ? Language.of(getAccessibleText()) : said;
        }
        return super.queryAccessibleAttribute(attribute, parameters);
    }
}
