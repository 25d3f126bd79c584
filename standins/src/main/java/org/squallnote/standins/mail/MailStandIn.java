package org.squallnote.standins.mail;

import com.icegreen.greenmail.imap.AuthorizationException;
import com.icegreen.greenmail.imap.ImapHostManager;
import com.icegreen.greenmail.store.FolderException;
import com.icegreen.greenmail.store.MailFolder;
import com.icegreen.greenmail.user.GreenMailUser;
import com.icegreen.greenmail.user.UserException;
import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.ServerSetup;
import jakarta.mail.Flags;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.Transport;
import jakarta.mail.internet.MimeMessage;
import java.io.ByteArrayInputStream;
import java.time.Instant;
import java.util.Date;
import java.util.List;
import java.util.Properties;

/** A mail server with IMAP and SMTP on sockets of this machine. */
public final class MailStandIn implements AutoCloseable {

    private final GreenMail server;

    private MailStandIn(GreenMail server) {
        this.server = server;
    }

    /**
     * Starts it.
     *
     * @param imapPort zero for any free one
     * @param smtpPort zero for any free one
     */
    public static MailStandIn start(int imapPort, int smtpPort) {
        ServerSetup imap = new ServerSetup(imapPort, "127.0.0.1", ServerSetup.PROTOCOL_IMAP);
        ServerSetup smtp = new ServerSetup(smtpPort, "127.0.0.1", ServerSetup.PROTOCOL_SMTP);
        imap.setServerStartupTimeout(20_000);
        smtp.setServerStartupTimeout(20_000);
        GreenMail server = new GreenMail(new ServerSetup[] {imap, smtp});
        server.start();
        return new MailStandIn(server);
    }

    /** The IMAP port. */
    public int imapPort() {
        return server.getImap().getPort();
    }

    /** The SMTP port. */
    public int smtpPort() {
        return server.getSmtp().getPort();
    }

    /** Adds a mailbox that signs in with its address. */
    public void addMailbox(String address, String password) {
        server.setUser(address, address, password);
    }

    /** Adds a folder to a mailbox. */
    public void addFolder(String address, String name) {
        try {
            host().createMailbox(user(address), name);
        } catch (FolderException | AuthorizationException e) {
            throw new IllegalStateException("No folder " + name, e);
        }
    }

    /** Puts a message into a folder as if it had been there since the given moment. */
    public void put(String address, String folder, byte[] raw, Instant receivedAt) {
        try {
            MimeMessage message = new MimeMessage(session(), new ByteArrayInputStream(raw));
            folder(address, folder).appendMessage(message, new Flags(), Date.from(receivedAt));
        } catch (MessagingException e) {
            throw new IllegalStateException("A message of the scenario cannot be stored", e);
        }
    }

    /** Sends a message over the SMTP socket, as its writer's mail program would. */
    public void deliver(byte[] raw) throws MessagingException {
        MimeMessage message = new MimeMessage(session(), new ByteArrayInputStream(raw));
        // Not by the static method, which would give the message another identifier.
        try (Transport transport = message.getSession().getTransport("smtp")) {
            transport.connect();
            transport.sendMessage(message, message.getAllRecipients());
        }
    }

    /** Takes everything out of a folder. */
    public void clear(String address, String folder) {
        folder(address, folder).deleteAllMessages();
    }

    /** The messages in a folder. */
    public List<MimeMessage> messages(String address, String folder) {
        // A copy, which the list makes in one go: mail may arrive meanwhile.
        return List.copyOf(folder(address, folder).getMessages()).stream()
                .map(stored -> stored.getMimeMessage())
                .toList();
    }

    private MailFolder folder(String address, String name) {
        GreenMailUser user = user(address);
        try {
            return name.equals("INBOX") ? host().getInbox(user) : host().getFolder(user, name);
        } catch (FolderException e) {
            throw new IllegalStateException("No folder " + name + " in " + address, e);
        }
    }

    private GreenMailUser user(String address) {
        GreenMailUser user = server.getUserManager().getUserByEmail(address);
        if (user == null) {
            try {
                return server.getUserManager().createUser(address, address, "invented");
            } catch (UserException e) {
                throw new IllegalStateException("No mailbox " + address, e);
            }
        }
        return user;
    }

    private ImapHostManager host() {
        return server.getManagers().getImapHostManager();
    }

    private Session session() {
        Properties properties = new Properties();
        properties.setProperty("mail.smtp.host", "127.0.0.1");
        properties.setProperty("mail.smtp.port", String.valueOf(smtpPort()));
        return Session.getInstance(properties);
    }

    @Override
    public void close() {
        server.stop();
    }
}
