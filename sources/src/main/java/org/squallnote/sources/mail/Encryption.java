package org.squallnote.sources.mail;

/** How a connection is protected. */
public enum Encryption {
    /** TLS from the first byte. */
    TLS,
    /** Plain at first, then upgraded; refused when the server cannot. */
    STARTTLS,
    /** None. Only allowed to this machine itself. */
    NONE
}
