package org.squallnote.core.intake;

import java.time.LocalDate;

/** Until when a message may be out of sight. */
public final class PutOff {

    private PutOff() {}

    /**
     * Refuses a day that does not put anything off.
     *
     * @throws IllegalArgumentException when it is not after today
     */
    public static void check(LocalDate until, LocalDate today) {
        if (!until.isAfter(today)) {
            throw new IllegalArgumentException("A message can be put off until tomorrow or later.");
        }
    }
}
