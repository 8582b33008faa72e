package org.umberloom.core.contract;

import java.util.Arrays;
import java.util.Optional;

/** What rules read of a text style one by one, with the part of the format's typography that it is. */
public enum Member {
    FAMILY("family", "fontFamily"),
    SIZE("size", "fontSize"),
    WEIGHT("weight", "fontWeight"),
    SPACING("spacing", "letterSpacing"),
    LINE("line", "lineHeight");

    private final String id;
    private final String part;

    Member(String id, String part) {
        this.id = id;
        this.part = part;
    }

    public String id() {
        return id;
    }

    /** Name of the part. Source: Format Module 2025.10, typography. */
    public String part() {
        return part;
    }

    /** The member that a reading such as {@code type.h1.size} is of. @throws IllegalArgumentException when it is of none */
    public static Member of(String reading) {
        return byId(reading.substring(reading.lastIndexOf('.') + 1))
                .orElseThrow(() -> new IllegalArgumentException(reading + " is no member of a text style"));
    }

    static Optional<Member> byId(String id) {
        return Arrays.stream(values()).filter(member -> member.id.equals(id)).findFirst();
    }
}
