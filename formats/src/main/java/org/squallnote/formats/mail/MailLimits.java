package org.squallnote.formats.mail;

/** Bounds on what is read from outside, so that no message can exhaust memory or time. */
public final class MailLimits {

    /** The largest message that is kept whole, in bytes; of a larger one the beginning is kept, with a notice. */
    public static final int LARGEST_MESSAGE = 100 * 1024 * 1024;

    /** What a message says of itself that is larger than what is kept. */
    public static final String CUT_NOTICE = "This message is larger than 100 MiB, so only its beginning is kept here."
            + " Files in it may be missing or end early; the whole message is where it came from.";

    /** The longest body text that is read, in characters. */
    public static final int LONGEST_TEXT = 1_000_000;

    /** How deep parts may be nested; what lies deeper is left unread. */
    static final int DEEPEST_PART = 20;

    /** How many leaf parts are looked at. */
    static final int MOST_PARTS = 500;

    /** How many boundaries a message may declare; each is another level of nesting at worst. */
    static final int MOST_BOUNDARIES = 60;

    /** Of a header field this much is looked at, in characters: more than any mailer writes. */
    static final int LONGEST_FIELD = 16_000;

    /** Of a field that lists addresses or identifiers, which may be many, this much. */
    static final int LONGEST_LIST_FIELD = 64_000;

    /** How many addresses of a field are kept. */
    static final int MOST_ADDRESSES = 200;

    /** The longest subject that is kept, in characters. */
    static final int LONGEST_SUBJECT = 1_000;

    private MailLimits() {}
}
