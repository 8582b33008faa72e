package org.umberloom.core.theme;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.umberloom.core.json.FormatException;
import org.umberloom.core.json.Json;
import org.umberloom.core.token.Names;

/**
 * What is known of a picture of a site besides what it shows.
 *
 * @param license     how it may be used; empty where nobody said
 * @param source      where it is from
 * @param alt         what it shows in words, for those who do not see it
 * @param focalX      the point that stays in sight when it is cropped, as a share from the left, 0 to 1
 * @param focalY      the same from the top
 * @param placeholder whether it only keeps the room of another, and never leaves the house
 */
public record PictureFacts(
        String license, String source, String alt, double focalX, double focalY, boolean placeholder) {
    public static final PictureFacts NONE = new PictureFacts("", "", "", 0.5, 0.5, false);
    private static final int LONGEST_LICENSE = 200;
    private static final int LONGEST_TEXT = 300;

    /** @throws IllegalArgumentException with a sentence for people */
    public PictureFacts {
        Names.safe("The license of a picture", license);
        Names.safe("The source of a picture", source);
        Names.safe("The words of a picture", alt);
        if (license.length() > LONGEST_LICENSE || source.length() > LONGEST_TEXT || alt.length() > LONGEST_TEXT)
            throw new IllegalArgumentException("A license has up to " + LONGEST_LICENSE
                    + " characters, what is said of a picture besides up to " + LONGEST_TEXT + ".");
        if (!(focalX >= 0 && focalX <= 1 && focalY >= 0 && focalY <= 1))
            throw new IllegalArgumentException(
                    "The point of a picture that stays in sight lies within it, from 0 to 1.");
    }

    public static PictureFacts licensed(String license) {
        return new PictureFacts(license, "", "", NONE.focalX, NONE.focalY, false);
    }

    /** For JSON; what is as usual is not said. */
    public Map<String, Object> toMap() {
        Map<String, Object> said = new LinkedHashMap<>();
        said.put("license", license);
        if (!source.isEmpty()) said.put("source", source);
        if (!alt.isEmpty()) said.put("alt", alt);
        if (focalX != NONE.focalX || focalY != NONE.focalY) said.put("focal", List.of(focalX, focalY));
        if (placeholder) said.put("placeholder", true);
        return said;
    }

    /** @throws FormatException where a member is no such thing */
    public static PictureFacts of(String name, Map<String, Object> said) {
        List<?> focal =
                said.containsKey("focal") ? Json.list(name, said.get("focal")) : List.of(NONE.focalX, NONE.focalY);
        if (focal.size() != 2)
            throw new FormatException("The focal point of “" + Names.shown(name) + "” is no pair of numbers.");
        try {
            return new PictureFacts(
                    text(said, "license"),
                    text(said, "source"),
                    text(said, "alt"),
                    Json.number(name, focal.get(0)),
                    Json.number(name, focal.get(1)),
                    Boolean.TRUE.equals(said.get("placeholder")));
        } catch (IllegalArgumentException e) {
            throw new FormatException("The picture “" + Names.shown(name) + "”: " + e.getMessage());
        }
    }

    private static String text(Map<String, Object> said, String member) {
        return said.get(member) instanceof String text ? text : "";
    }
}
