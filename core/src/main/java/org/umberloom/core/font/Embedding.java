package org.umberloom.core.font;

/**
 * What the maker of a font lets others do with its file. Source: OpenType 1.9.1, OS/2, fsType: bits 0 to 3 say how it may be
 * embedded; where several are set, the least restrictive counts.
 */
public enum Embedding {
    /** It may be embedded and installed. */
    INSTALLABLE(true, "may travel with pages"),
    EDITABLE(true, "may travel with pages that are edited"),
    PREVIEW(false, "may be shown and printed, but not travel with pages that others edit"),
    RESTRICTED(false, "may not travel without its maker’s leave");

    private static final int BIT_RESTRICTED = 2;
    private static final int BIT_PREVIEW = 4;
    private static final int BIT_EDITABLE = 8;

    private final boolean travels;
    private final String words;

    Embedding(boolean travels, String words) {
        this.travels = travels;
        this.words = words;
    }

    static Embedding of(int fsType) {
        if ((fsType & BIT_EDITABLE) != 0) return EDITABLE;
        if ((fsType & BIT_PREVIEW) != 0) return PREVIEW;
        return (fsType & BIT_RESTRICTED) != 0 ? RESTRICTED : INSTALLABLE;
    }

    /** Whether the file may be part of a kit. */
    public boolean travels() {
        return travels;
    }

    /** For people: “may travel with pages”. */
    public String words() {
        return words;
    }
}
