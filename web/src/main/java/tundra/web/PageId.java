package tundra.web;

/** The ids of elements on the page. What is added to one for a part of it begins with - alone, so no two can be the same whatever the ids are. */
final class PageId {
    private PageId() {}

    /** The id on the page of a scene or an element: letters and digits as they are, _ as __ and - as _-. */
    static String of(String id) {
        return "t-" + id.replace("_", "__").replace("-", "_-");
    }
}
