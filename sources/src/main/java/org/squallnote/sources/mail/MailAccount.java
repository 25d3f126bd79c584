package org.squallnote.sources.mail;

/** A mail account with its password and address. */
public record MailAccount(String address, MailSettings settings, String password) {

    @Override
    public String toString() {
        return "MailAccount[" + address + "]"; // The password must not reach a log.
    }
}
