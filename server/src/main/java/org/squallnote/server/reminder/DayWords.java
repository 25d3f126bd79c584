package org.squallnote.server.reminder;

import org.squallnote.server.account.SignedIn;

/** The plan of a day in words. */
public interface DayWords {

    /** What today holds. */
    String today(SignedIn me);
}
