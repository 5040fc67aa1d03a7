package tundra.core.model;

import java.util.AbstractList;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.RandomAccess;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.pcollections.HashTreePMap;
import org.pcollections.HashTreePSet;
import org.pcollections.PMap;
import org.pcollections.PSet;

/**
 * The elements of a board from back to front: an unchangeable list that finds elements at any depth by their ids. Changes of single
 * elements are kept aside until the list is looked at, and then made in one pass, so that many of them cost no more than one.
 */
final class Elements extends AbstractList<Element> implements RandomAccess {
    /** So many changes are kept aside before a version becomes a list of its own. */
    private static final int KEPT = 256;
    private final Base base;
    private final PMap<String, Element> changed;
    /** The groups around what was changed. */
    private final PSet<String> around;
    private volatile Base whole;

    /** A list as it was given, with an index of it once that is worth while. */
    private static final class Base {
        /** So often it is searched through before an index is made. */
        private static final int SEARCHES = 6;
        private final List<Element> list;
        private volatile TreePaths index;
        private int asked;

        Base(List<Element> list) {
            this.list = list;
        }

        Element find(String id) {
            TreePaths known = known();
            return known == null ? Tree.find(list, id) : known.find(id);
        }

        List<String> path(String id) {
            TreePaths known = known();
            return known == null ? Tree.path(list, id) : known.path(id);
        }

        /** The index, made once that is worth while; null before. Read once, since another thread may let go of it. */
        private TreePaths known() {
            TreePaths known = index;
            if (known == null && asked++ >= SEARCHES) {
                known = new TreePaths(list);
                index = known;
            }
            return known;
        }
    }

    private Elements(Base base, PMap<String, Element> changed, PSet<String> around) {
        this.base = base;
        this.changed = changed;
        this.around = around;
        this.whole = changed.isEmpty() ? base : null;
    }

    static Elements of(List<Element> list) {
        return list instanceof Elements e ? e : new Elements(new Base(List.copyOf(list)), HashTreePMap.empty(), HashTreePSet.empty());
    }

    /** Null when there is none. */
    Element find(String id) {
        Base known = whole;
        if (known != null && (changed.size() >= KEPT || changed.isEmpty())) {
            return known.find(id);
        }
        if (around.contains(id)) {
            return whole().find(id);
        }
        Element e = changed.get(id);
        return e != null ? e : base.find(id);
    }

    /** The ids from the outermost group down to the element itself; empty when there is none. */
    List<String> path(String id) {
        return base.path(id);
    }

    /** With an element changed; the same when it isn't there or stays as it is. */
    Elements map(String id, UnaryOperator<Element> change) {
        Base known = whole;
        if (changed.size() >= KEPT && known != null) {
            return new Elements(known, HashTreePMap.empty(), HashTreePSet.empty()).map(id, change);
        }
        if (around.contains(id)) {
            return new Elements(whole(), HashTreePMap.empty(), HashTreePSet.empty()).map(id, change);
        }
        Element old = find(id);
        Element now = old == null ? null : change.apply(old);
        if (now == old || now.equals(old)) {
            return this;
        }
        // what holds others may have lost some, or got new ones
        if (!now.id().equals(id) || now.content() != old.content() && (now.content() instanceof Content.Parent
                || old.content() instanceof Content.Parent)) {
            return of(Tree.map(whole().list, id, e -> now));
        }
        List<String> path = base.path(id);
        PSet<String> groups = around;
        for (int i = 0; i + 1 < path.size(); i++) {
            groups = groups.plus(path.get(i));
        }
        return new Elements(base, changed.plus(id, now), groups);
    }

    /** With several elements changed. */
    Elements map(Set<String> ids, UnaryOperator<Element> change) {
        Elements out = this;
        for (String id : ids) {
            out = out.map(id, change);
        }
        return out;
    }

    /** Lets go of what can be made again, as a version of the past is seldom looked at. */
    void release(Elements next) {
        if (next == null || next.base != base) {
            base.index = null;
        }
        if (next != this && whole != base) {
            whole = null;
        }
    }

    private Base whole() {
        Base known = whole;
        if (known == null) {
            known = new Base(List.copyOf(made(base.list, new HashMap<>(changed), new HashSet<>(around))));
            whole = known;
        }
        return known;
    }

    private static List<Element> made(List<Element> list, Map<String, Element> changed, Set<String> around) {
        List<Element> out = null;
        for (int i = 0; i < list.size(); i++) {
            Element was = list.get(i), e = changed.getOrDefault(was.id(), was);
            if (around.contains(was.id())) {
                List<Element> children = e.children(), inner = made(children, changed, around);
                e = inner == children ? e : e.withChildren(inner);
            }
            if (e != was) {
                out = out == null ? new ArrayList<>(list) : out;
                out.set(i, e);
            }
        }
        return out == null ? list : out;
    }

    @Override
    public Element get(int index) {
        return whole().list.get(index);
    }

    @Override
    public int size() {
        return base.list.size();
    }

    @Override
    public Object[] toArray() {
        return whole().list.toArray();
    }

    @Override
    public Iterator<Element> iterator() {
        return whole().list.iterator();
    }
}
