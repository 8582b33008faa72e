package org.umberloom.app.theme;

import java.time.LocalDateTime;

/**
 * One entry of a theme's log. Undo and redo are entries of their own, so the log only grows.
 *
 * @param kind    {@code start}, {@code edit}, {@code undo} or {@code redo}
 * @param target  for undo and redo: the number of the edit that is taken back or made again
 * @param undoTop the edit that undo would take back after this entry
 * @param redoTop the undo entry that redo would take back after this entry
 * @param below   what lies under this entry on the stack it belongs to: edits on the undo stack, undos on the redo stack
 * @param document the whole theme as it is after this entry, kept now and then so that old states are near; else null
 */
record RevisionRow(
        long themeId,
        int number,
        String kind,
        String label,
        Integer target,
        Integer undoTop,
        Integer redoTop,
        Integer below,
        String edit,
        String inverse,
        long accountId,
        LocalDateTime madeAt,
        String document) {
    RevisionRow whole(String theme) {
        return new RevisionRow(
                themeId, number, kind, label, target, undoTop, redoTop, below, edit, inverse, accountId, madeAt, theme);
    }
}
