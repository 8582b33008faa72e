package org.umberloom.app.theme;

import java.time.LocalDateTime;

/** A theme as it is stored: the open document, and the number of its newest revision. Times are UTC. */
record ThemeRow(long id, String name, String document, int revision, LocalDateTime changedAt) {}
