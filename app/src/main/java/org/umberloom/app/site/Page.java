package org.umberloom.app.site;

/** A page of a site: a whole HTML document that names its stylesheet {@code theme.css}. */
public record Page(String slug, String title, String kind, String html) {
}
