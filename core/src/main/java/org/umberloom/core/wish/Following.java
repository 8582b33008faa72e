package org.umberloom.core.wish;

import java.util.ArrayList;
import java.util.List;
import org.umberloom.core.font.Families;
import org.umberloom.core.theme.Asked;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.ThemeDocument;

/** What follows from an edit for styles on curves and for widths that are said in characters, as a part of that edit. */
public final class Following {
    private Following() {}

    /** @param families whose letters are known */
    public static Asked of(Asked asked, Families families) {
        return seen -> {
            Edit edit = asked.in(seen);
            ThemeDocument before = seen.theme();
            if (!begins(asked) && !TextCurves.any(before) && !MeasuredWidths.any(before)) return edit;
            List<Edit> all = new ArrayList<>(List.of(edit));
            ThemeDocument after = edit.applyTo(before).theme();
            List<Edit> styles = TextCurves.after(before, after);
            for (Edit one : styles) after = one.applyTo(after).theme();
            all.addAll(styles);
            all.addAll(MeasuredWidths.after(before, after, families));
            return all.size() == 1 ? edit : new Edit.Batch(edit.label(), all);
        };
    }

    /** Whether something may follow from now on that did not so far. */
    private static boolean begins(Asked asked) {
        return asked instanceof ScaleWish.Curve || asked instanceof ValueWish.Measured;
    }
}
