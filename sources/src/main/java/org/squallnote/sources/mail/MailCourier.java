package org.squallnote.sources.mail;

import jakarta.mail.Flags;
import jakarta.mail.Folder;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.util.SharedByteArrayInputStream;
import java.util.List;
import java.util.Optional;
import org.eclipse.angus.mail.imap.AppendUID;
import org.eclipse.angus.mail.imap.IMAPFolder;
import org.eclipse.angus.mail.imap.IMAPStore;
import org.eclipse.angus.mail.smtp.SMTPAddressFailedException;
import org.eclipse.angus.mail.smtp.SMTPSendFailedException;
import org.eclipse.angus.mail.smtp.SMTPTransport;

/** Does on a mail account's servers what the outbox asks for. Each method opens and closes its own connection. */
public final class MailCourier {

    private final MailConnection connection;

    /** A courier for the account. */
    public MailCourier(MailAccount account) {
        this.connection = new MailConnection(account);
    }

    /** Says in a sentence what went wrong, and what to do. */
    public String explain(MessagingException problem) {
        return MailProblems.explain(problem, connection.trust());
    }

    /** What became of a mail that was to be sent. */
    public sealed interface Sending {

        /** The server has taken it. */
        record Taken() implements Sending {}

        /** It was not handed over, and a later attempt may work. */
        record TryLater(String why) implements Sending {}

        /** The server refuses it for good. */
        record Refused(String why) implements Sending {}

        /** The connection broke while it was handed over; the server may have taken it. */
        record Unknown(String why) implements Sending {}
    }

    /**
     * Sends a mail.
     *
     * @param raw the mail, with its recipients in {@code To} and {@code Cc}
     * @param beforeHandover called once the server is ready and before the first byte of the message; what it records
     *     is true from then on, whatever happens
     */
    public Sending send(byte[] raw, Runnable beforeHandover) {
        try (SMTPTransport transport = connection.openSmtp()) {
            MimeMessage message = new MimeMessage(connection.smtpSession(), new SharedByteArrayInputStream(raw));
            beforeHandover.run();
            return handOver(transport, message);
        } catch (MessagingException | IllegalArgumentException e) {
            return new Sending.TryLater(MailProblems.explain(e, connection.trust()));
        }
    }

    private Sending handOver(SMTPTransport transport, MimeMessage message) {
        try {
            transport.sendMessage(message, message.getAllRecipients());
            return new Sending.Taken();
        } catch (MessagingException e) {
            return outcome(e);
        }
    }

    private Sending outcome(MessagingException problem) {
        int code = replyCode(problem);
        if (code >= 500) {
            return new Sending.Refused("The server refused the message: " + reason(problem));
        }
        if (code >= 400) {
            return new Sending.TryLater("The server wants it later: " + reason(problem));
        }
        return new Sending.Unknown(MailProblems.explain(problem, connection.trust()));
    }

    /** The reply code of the last SMTP answer, or zero when none came. */
    private static int replyCode(MessagingException problem) {
        for (Exception e = problem; e != null; e = e instanceof MessagingException m ? m.getNextException() : null) {
            if (e instanceof SMTPAddressFailedException refused) {
                return refused.getReturnCode();
            }
            if (e instanceof SMTPSendFailedException failed && failed.getReturnCode() > 0) {
                return failed.getReturnCode();
            }
        }
        return 0;
    }

    private static String reason(MessagingException problem) {
        for (Exception e = problem; e != null; e = e instanceof MessagingException m ? m.getNextException() : null) {
            if (e instanceof SMTPAddressFailedException refused) {
                return String.valueOf(refused.getMessage()).strip();
            }
        }
        return String.valueOf(problem.getMessage()).strip();
    }

    /** Whether one of the folders holds a mail with this Message-ID: the proof that it was sent. */
    public boolean holds(List<String> folders, String messageId) throws MessagingException {
        try (IMAPStore store = connection.openImap()) {
            for (String name : folders) {
                IMAPFolder folder = (IMAPFolder) store.getFolder(name);
                if (folder.exists()) {
                    folder.open(Folder.READ_ONLY);
                    if (!new ImapCommands(folder).searchMessageId(messageId).isEmpty()) {
                        return true;
                    }
                    folder.close(false);
                }
            }
            return false;
        }
    }

    /** Puts a sent mail into a folder, unless it is there already; many servers do it by themselves. */
    public void append(String folderName, String messageId, byte[] raw) throws MessagingException {
        try (IMAPStore store = connection.openImap()) {
            IMAPFolder folder = MailFolders.openForWriting(store, folderName);
            if (!new ImapCommands(folder).searchMessageId(messageId).isEmpty()) {
                return;
            }
            MimeMessage message = new MimeMessage(connection.smtpSession(), new SharedByteArrayInputStream(raw));
            message.setFlag(Flags.Flag.SEEN, true);
            folder.appendMessages(new Message[] {message});
        }
    }

    /**
     * Moves a mail to another folder. Does nothing when it is no longer in the first one.
     *
     * @param uid where it was last seen
     * @param messageId checked against the message there, and searched for when the UID no longer fits
     */
    public void move(String from, long uidValidity, long uid, Optional<String> messageId, String to)
            throws MessagingException {
        try (IMAPStore store = connection.openImap()) {
            IMAPFolder target = MailFolders.openForWriting(store, to);
            target.close(false);
            IMAPFolder folder = (IMAPFolder) store.getFolder(from);
            folder.open(Folder.READ_WRITE);
            Optional<Long> there = find(folder, uidValidity, uid, messageId);
            if (there.isEmpty()) {
                return;
            }
            Message message = folder.getMessageByUID(there.get());
            if (message == null) {
                return;
            }
            if (store.hasCapability("MOVE")) {
                folder.moveMessages(new Message[] {message}, target);
            } else {
                moveByCopy(store, folder, message, target);
            }
        }
    }

    /** Marks a mail as read or unread. Does nothing when it is no longer there. */
    public void markRead(String folderName, long uidValidity, long uid, Optional<String> messageId, boolean read)
            throws MessagingException {
        try (IMAPStore store = connection.openImap()) {
            IMAPFolder folder = (IMAPFolder) store.getFolder(folderName);
            folder.open(Folder.READ_WRITE);
            Optional<Long> there = find(folder, uidValidity, uid, messageId);
            Message message = there.isEmpty() ? null : folder.getMessageByUID(there.get());
            if (message != null) {
                message.setFlag(Flags.Flag.SEEN, read);
            }
        }
    }

    private static Optional<Long> find(IMAPFolder folder, long uidValidity, long uid, Optional<String> messageId)
            throws MessagingException {
        ImapCommands commands = new ImapCommands(folder);
        List<Long> sameId = messageId.isPresent() ? commands.searchMessageId(messageId.get()) : List.of();
        if (folder.getUIDValidity() == uidValidity && (messageId.isEmpty() || sameId.contains(uid))) {
            return Optional.of(uid);
        }
        return sameId.stream().findFirst();
    }

    /** Without MOVE (RFC 6851): copy, mark as deleted, and expunge that one message where UIDPLUS allows it. */
    private static void moveByCopy(IMAPStore store, IMAPFolder folder, Message message, IMAPFolder target)
            throws MessagingException {
        Message[] one = {message};
        AppendUID[] copied = store.hasCapability("UIDPLUS") ? folder.copyUIDMessages(one, target) : null;
        if (copied == null) {
            folder.copyMessages(one, target);
        }
        message.setFlag(Flags.Flag.DELETED, true);
        // A plain EXPUNGE would also remove what somebody else has marked, so without UIDPLUS the mark has to do.
        if (store.hasCapability("UIDPLUS")) {
            folder.expunge(one);
        }
    }
}
