package org.umberloom.app.theme;

/** A theme came to a revision in this process; it may not be committed yet. */
record ThemeChanged(long theme, int revision) {}
