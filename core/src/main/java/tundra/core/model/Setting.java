package tundra.core.model;

/** A property and a value of its type. */
public record Setting(Property<?> property, Object value) {
    public static <T> Setting of(Property<T> p, T value) {
        return new Setting(p, value);
    }

    /** The value as one of the property. */
    @SuppressWarnings("unchecked")
    public <T> T as(Property<T> p) {
        if (p != property) {
            throw new IllegalArgumentException(p.key());
        }
        return (T) value;
    }
}
