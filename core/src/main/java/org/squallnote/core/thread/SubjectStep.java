package org.squallnote.core.thread;

/** How far messages are joined by their subject alone, the fifth step of RFC 5256 REFERENCES. */
public enum SubjectStep {
    /** As the RFC says: all threads with the same base subject become one. What a mail server answers. */
    AS_RFC_5256,
    /**
     * Only an unlinked reply is joined, and only to an earlier message of the last 30 days with the same
     * base subject and at least two of the same parties. What Squallnote uses, so that twelve monthly
     * invoices stay twelve threads.
     */
    UNLINKED_REPLIES
}
