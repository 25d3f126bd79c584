package org.squallnote.core.rule;

/** Words that no list tells, as a pattern names them: {@code {weekday}}, {@code {day}}. */
@FunctionalInterface
public interface Kinds {

    /** The place behind such words where they begin at a place of the sentence; negative where none stand there. */
    int endOf(String kind, int place);
}
