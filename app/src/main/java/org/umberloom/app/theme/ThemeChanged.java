package org.umberloom.app.theme;

/** A theme came to a revision in this process, by an account; it may not be committed yet. */
public record ThemeChanged(long theme, int revision, long by) {}
