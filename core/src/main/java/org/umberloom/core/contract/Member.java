package org.umberloom.core.contract;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.umberloom.core.token.Manner;

/** What rules read of a text style one by one, with the part of the style that it is. */
public enum Member {
    FAMILY("family", "fontFamily"),
    SIZE("size", "fontSize"),
    WEIGHT("weight", "fontWeight"),
    SPACING("spacing", "letterSpacing"),
    LINE("line", "lineHeight"),
    SLOPE("slope", Manner.SLOPE),
    STRETCH("stretch", Manner.STRETCH),
    CASE("case", Manner.CASE),
    FEATURES("features", Manner.FEATURES),
    DECORATION("decoration", Manner.DECORATION);

    private final String id;
    private final String part;
    private final Optional<Manner> manner;

    Member(String id, String part) {
        this.id = id;
        this.part = part;
        manner = Optional.empty();
    }

    Member(String id, Manner manner) {
        this.id = id;
        part = manner.part();
        this.manner = Optional.of(manner);
    }

    public String id() {
        return id;
    }

    /** Name of the part. Source of the first five: Format Module 2025.10, typography. */
    public String part() {
        return part;
    }

    /** What it is beside the format's five; a style need not say it, and rules then have a fallback of their own. */
    public Optional<Manner> manner() {
        return manner;
    }

    /** Names of the five parts that every style has. */
    static List<String> ofTheFormat() {
        return Arrays.stream(values())
                .filter(member -> member.manner.isEmpty())
                .map(Member::part)
                .toList();
    }

    /** The member that a reading such as {@code type.h1.size} is of. @throws IllegalArgumentException when it is of none */
    public static Member of(String reading) {
        return byId(reading.substring(reading.lastIndexOf('.') + 1))
                .orElseThrow(() -> new IllegalArgumentException(reading + " is no member of a text style"));
    }

    /** Whether a reading is of something that a style need not say. */
    public static boolean isManner(String reading) {
        return reading.startsWith("type.")
                && byId(reading.substring(reading.lastIndexOf('.') + 1))
                        .flatMap(Member::manner)
                        .isPresent();
    }

    static Optional<Member> byId(String id) {
        return Arrays.stream(values()).filter(member -> member.id.equals(id)).findFirst();
    }
}
