package org.squallnote.sources.mail;

import java.util.Optional;

/**
 * How to reach a mail account.
 *
 * @param fromName the name that answers carry
 * @param inbox the folder that incoming mail arrives in
 * @param sent the folder for sent mail, empty when there is none to watch
 * @param archive the folder that decided mail is moved to, empty when it is not to be moved
 * @param drafts the folder that drafts are kept in too, empty when they stay in Squallnote
 * @param pinnedCertificate SHA-256 of a certificate that the user has accepted although no authority vouches for it
 */
public record MailSettings(
        Server imap,
        Server smtp,
        String user,
        String fromName,
        String inbox,
        Optional<String> sent,
        Optional<String> archive,
        Optional<String> drafts,
        Optional<String> pinnedCertificate) {

    /** Whether a password would go to the same servers, for the same user, with the same certificate accepted. */
    public boolean hasSameDestination(MailSettings other) {
        return imap.equals(other.imap)
                && smtp.equals(other.smtp)
                && user.equals(other.user)
                && pinnedCertificate.equals(other.pinnedCertificate);
    }

    /** A server and how to talk to it. */
    public record Server(String host, int port, Encryption encryption) {}
}
