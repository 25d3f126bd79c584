package org.squallnote.sources.mail;

import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import java.util.Properties;
import org.eclipse.angus.mail.imap.IMAPSSLStore;
import org.eclipse.angus.mail.imap.IMAPStore;
import org.eclipse.angus.mail.smtp.SMTPSSLTransport;
import org.eclipse.angus.mail.smtp.SMTPTransport;
import org.squallnote.formats.mail.MailSessions;
import org.squallnote.sources.Reach;

/** Opens connections to the servers of a mail account. */
final class MailConnection {

    private static final String CONNECT_TIMEOUT_MILLIS = "15000";
    /** Longer than a round of IDLE, and than a search takes, so that only a dead connection runs into it. */
    private static final String READ_TIMEOUT_MILLIS = "120000";

    private static final String SEND_TIMEOUT_MILLIS = "60000";

    private final MailAccount account;
    private final PinnedTrust trust;

    MailConnection(MailAccount account) {
        this.account = account;
        this.trust = new PinnedTrust(account.settings().pinnedCertificate());
    }

    PinnedTrust trust() {
        return trust;
    }

    /** A signed-in IMAP connection; the caller closes it. */
    IMAPStore openImap() throws MessagingException {
        MailSettings.Server server = account.settings().imap();
        checkReach(server);
        boolean tls = server.encryption() == Encryption.TLS;
        String protocol = tls ? "imaps" : "imap";
        Session session = Session.getInstance(properties(protocol, server, READ_TIMEOUT_MILLIS));
        IMAPStore store = tls ? new IMAPSSLStore(session, null) : new IMAPStore(session, null);
        store.connect(server.host(), server.port(), account.settings().user(), account.password());
        return store;
    }

    /**
     * A signed-in SMTP connection; the caller closes it.
     *
     * @param beyondAscii whether an address needs SMTPUTF8 (RFC 6531), which is not asked for otherwise
     */
    SMTPTransport openSmtp(boolean beyondAscii) throws MessagingException {
        MailSettings.Server server = account.settings().smtp();
        checkReach(server);
        boolean tls = server.encryption() == Encryption.TLS;
        String protocol = tls ? "smtps" : "smtp";
        Session session = smtpSession();
        SMTPTransport transport = tls ? new SMTPSSLTransport(session, null) : new SMTPTransport(session, null);
        session.getProperties().setProperty("mail.mime.allowutf8", String.valueOf(beyondAscii));
        boolean signIn = !account.password().isEmpty();
        session.getProperties().setProperty("mail." + protocol + ".auth", String.valueOf(signIn));
        transport.connect(server.host(), server.port(), account.settings().user(), account.password());
        return transport;
    }

    private void checkReach(MailSettings.Server server) throws MessagingException {
        try {
            account.reach().check(server.host());
        } catch (Reach.OutOfReachException e) {
            throw new MessagingException(e.getMessage(), e);
        }
    }

    Session smtpSession() {
        MailSettings.Server server = account.settings().smtp();
        String protocol = server.encryption() == Encryption.TLS ? "smtps" : "smtp";
        return Session.getInstance(properties(protocol, server, SEND_TIMEOUT_MILLIS));
    }

    private Properties properties(String protocol, MailSettings.Server server, String readTimeout) {
        if (server.encryption() == Encryption.NONE && !Reach.isThisMachine(server.host())) {
            throw new IllegalArgumentException("Without encryption the password could be read on the way to "
                    + server.host() + ". Choose TLS or STARTTLS.");
        }
        Properties properties = MailSessions.tolerant();
        String prefix = "mail." + protocol + ".";
        properties.setProperty(prefix + "connectiontimeout", CONNECT_TIMEOUT_MILLIS);
        properties.setProperty(prefix + "timeout", readTimeout);
        properties.setProperty(prefix + "writetimeout", SEND_TIMEOUT_MILLIS);
        properties.setProperty(prefix + "partialfetch", "false");
        properties.setProperty(prefix + "auth.ntlm.disable", "true");
        properties.setProperty(
                prefix + "ssl.checkserveridentity",
                String.valueOf(account.settings().pinnedCertificate().isEmpty()));
        properties.put(prefix + "ssl.socketFactory", trust.socketFactory());
        if (server.encryption() == Encryption.STARTTLS) {
            properties.setProperty(prefix + "starttls.enable", "true");
            properties.setProperty(prefix + "starttls.required", "true");
        }
        return properties;
    }
}
