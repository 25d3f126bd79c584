package org.squallnote.sources.mail;

import org.squallnote.sources.Reach;

/**
 * A mail account with its password and address.
 *
 * @param reach which machines its owner may have connected to
 */
public record MailAccount(String address, MailSettings settings, String password, Reach reach) {

    /** An account whose servers were looked at before. */
    public MailAccount(String address, MailSettings settings, String password) {
        this(address, settings, password, Reach.ANYWHERE);
    }

    @Override
    public String toString() {
        return "MailAccount[" + address + "]"; // The password must not reach a log.
    }
}
