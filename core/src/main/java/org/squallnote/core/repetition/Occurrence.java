package org.squallnote.core.repetition;

import java.time.LocalDate;

/**
 * One time of what comes back.
 *
 * @param on the day that the rule gives
 * @param day the day that it is moved to where that is a day off, else the same
 * @param number the how manieth it is, from 1
 */
public record Occurrence(LocalDate on, LocalDate day, int number) {}
