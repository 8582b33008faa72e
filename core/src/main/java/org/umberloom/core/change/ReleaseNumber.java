package org.umberloom.core.change;

import java.util.Comparator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.umberloom.core.token.Names;

/**
 * The number of a release, such as {@code 2.1.0}, or of one for trying, such as {@code 2.1.0-trial.3}. Source: Semantic Versioning
 * 2.0.0, items 2, 9 and 11.
 *
 * @param trial counts from 1; 0 for a release that is none
 */
public record ReleaseNumber(int major, int minor, int patch, int trial) implements Comparable<ReleaseNumber> {
    /** What a theme's first release is called, whatever it holds. */
    public static final ReleaseNumber FIRST = new ReleaseNumber(1, 0, 0, 0);

    private static final String FORM_OF_ONE = "(0|[1-9]\\d{0,5})";
    private static final Pattern FORM =
            Pattern.compile(FORM_OF_ONE + "\\." + FORM_OF_ONE + "\\." + FORM_OF_ONE + "(?:-trial\\.([1-9]\\d{0,5}))?");
    private static final Comparator<ReleaseNumber> ORDER = Comparator.comparingInt(ReleaseNumber::major)
            .thenComparingInt(ReleaseNumber::minor)
            .thenComparingInt(ReleaseNumber::patch)
            .thenComparing(one -> !one.isTrial())
            .thenComparingInt(ReleaseNumber::trial);

    /** @throws IllegalArgumentException for a negative part */
    public ReleaseNumber {
        if (major < 0 || minor < 0 || patch < 0 || trial < 0)
            throw new IllegalArgumentException("A release’s number has no negative parts.");
    }

    /** @throws IllegalArgumentException with a sentence for people for anything else */
    public static ReleaseNumber parse(String text) {
        Matcher matcher = FORM.matcher(text);
        if (!matcher.matches())
            throw new IllegalArgumentException("“" + Names.shown(text)
                    + "” is not the number of a release: write three numbers such as 1.4.0, or 1.4.0-trial.2.");
        return new ReleaseNumber(
                Integer.parseInt(matcher.group(1)),
                Integer.parseInt(matcher.group(2)),
                Integer.parseInt(matcher.group(3)),
                matcher.group(4) == null ? 0 : Integer.parseInt(matcher.group(4)));
    }

    public boolean isTrial() {
        return trial > 0;
    }

    /** The full release after this one, which must be none for trying. */
    public ReleaseNumber after(Step step) {
        return switch (step) {
            case MAJOR -> new ReleaseNumber(major + 1, 0, 0, 0);
            case MINOR -> new ReleaseNumber(major, minor + 1, 0, 0);
            case PATCH -> new ReleaseNumber(major, minor, patch + 1, 0);
        };
    }

    /** The same number for trying. @param count from 1 */
    public ReleaseNumber trial(int count) {
        return new ReleaseNumber(major, minor, patch, count);
    }

    /** The full release that this one is, or is tried for. */
    public ReleaseNumber full() {
        return trial(0);
    }

    /** How far a later full release is from this one: by the first part that differs. */
    public Step stepTo(ReleaseNumber later) {
        if (later.major != major) return Step.MAJOR;
        return later.minor != minor ? Step.MINOR : Step.PATCH;
    }

    @Override
    public int compareTo(ReleaseNumber other) {
        return ORDER.compare(this, other);
    }

    @Override
    public String toString() {
        return major + "." + minor + "." + patch + (isTrial() ? "-trial." + trial : "");
    }
}
