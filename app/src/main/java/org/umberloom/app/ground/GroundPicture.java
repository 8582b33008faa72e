package org.umberloom.app.ground;

/** A picture that surfaces of a theme can stand on, with the license it is used under. */
public record GroundPicture(String name, String mediaType, String license, byte[] content) {
}
