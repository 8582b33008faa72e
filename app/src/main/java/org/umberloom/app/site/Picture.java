package org.umberloom.app.site;

/** A picture of a site, with the license it is used under. */
public record Picture(String name, String mediaType, String license, byte[] content) {}
