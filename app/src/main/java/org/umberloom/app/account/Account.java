package org.umberloom.app.account;

/** A person who signs in. */
public record Account(long id, String email, String name, String passwordHash, String role) {}
