package org.umberloom.app.account;

/** A session ended on purpose in this process. */
public record SignedOut(String session) {}
