package org.umberloom.app.site;

/** A site and the theme it uses. */
public record Site(long id, String slug, String name, long themeId) {}
