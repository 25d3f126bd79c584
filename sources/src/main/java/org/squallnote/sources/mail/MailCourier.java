package org.squallnote.sources.mail;

import jakarta.mail.Address;
import jakarta.mail.Flags;
import jakarta.mail.Folder;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.util.SharedByteArrayInputStream;
import java.io.IOException;
import java.security.MessageDigest;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import org.eclipse.angus.mail.imap.AppendUID;
import org.eclipse.angus.mail.imap.IMAPFolder;
import org.eclipse.angus.mail.imap.IMAPStore;
import org.eclipse.angus.mail.smtp.SMTPAddressFailedException;
import org.eclipse.angus.mail.smtp.SMTPSendFailedException;
import org.eclipse.angus.mail.smtp.SMTPTransport;
import org.squallnote.core.message.RawMail;
import org.squallnote.core.message.Sha256;
import org.squallnote.formats.mail.MailLimits;
import org.squallnote.sources.Reason;

/** Does on a mail account's servers what the outbox asks for. Each method opens and closes its own connection. */
public final class MailCourier {

    /** So many mails that look the same are compared byte by byte. */
    private static final int MOST_COMPARED = 20;

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

        /** It is no longer to be sent, or somebody else is sending it. */
        record Withdrawn() implements Sending {}

        /** The connection broke while it was handed over; the server may have taken it. */
        record Unknown(String why) implements Sending {}
    }

    /**
     * Sends a mail.
     *
     * @param raw the mail, with its recipients in {@code To} and {@code Cc}
     * @param beforeHandover called once the server is ready and before the first byte of the message; what it records
     *     is true from then on, whatever happens. When it says no, nothing is sent
     */
    public Sending send(byte[] raw, BooleanSupplier beforeHandover) {
        try {
            MimeMessage message = new MimeMessage(connection.smtpSession(), new SharedByteArrayInputStream(raw));
            Address[] recipients = message.getAllRecipients();
            boolean beyondAscii = Arrays.stream(recipients == null ? new Address[0] : recipients)
                    .anyMatch(address -> address.toString().chars().anyMatch(c -> c > 0x7f));
            try (SMTPTransport transport = connection.openSmtp(beyondAscii)) {
                return beforeHandover.getAsBoolean() ? handOver(transport, message) : new Sending.Withdrawn();
            }
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
        return Reason.of(problem);
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
     * Puts a draft into a folder in the place of what it was before. Done again after a break, it lies there once.
     *
     * @param messageId the Message-ID that all states of the draft carry
     */
    public void keepDraft(String folderName, String messageId, byte[] raw) throws MessagingException {
        try (IMAPStore store = connection.openImap()) {
            IMAPFolder folder = MailFolders.openForWriting(store, folderName);
            List<Long> before = new ImapCommands(folder).searchMessageId(messageId);
            MimeMessage message = new MimeMessage(connection.smtpSession(), new SharedByteArrayInputStream(raw));
            message.setFlag(Flags.Flag.DRAFT, true);
            message.setFlag(Flags.Flag.SEEN, true);
            folder.appendMessages(new Message[] {message});
            remove(store, folder, before);
        }
    }

    /** Takes a draft out of a folder again, if it is there. */
    public void forgetDraft(String folderName, String messageId) throws MessagingException {
        try (IMAPStore store = connection.openImap()) {
            IMAPFolder folder = (IMAPFolder) store.getFolder(folderName);
            if (folder.exists()) {
                folder.open(Folder.READ_WRITE);
                remove(store, folder, new ImapCommands(folder).searchMessageId(messageId));
            }
        }
    }

    private static void remove(IMAPStore store, IMAPFolder folder, List<Long> uids) throws MessagingException {
        Message[] there = Arrays.stream(folder.getMessagesByUID(
                        uids.stream().mapToLong(Long::longValue).toArray()))
                .filter(Objects::nonNull)
                .toArray(Message[]::new);
        if (there.length > 0) {
            folder.setFlags(there, new Flags(Flags.Flag.DELETED), true);
            if (store.hasCapability("UIDPLUS")) {
                folder.expunge(there);
            }
        }
    }

    /** Where a mail has come to lie, as the server told (RFC 4315); zero where it did not. */
    public record Landed(long uidValidity, long uid) {

        static final Landed UNTOLD = new Landed(0, 0);
    }

    /**
     * Moves a mail to another folder.
     *
     * @return where it lies now; absent when it is no longer where it was, or cannot be told from another one, and so
     *     was left alone
     */
    public Optional<Landed> move(MailAt mail, String to) throws MessagingException {
        try (IMAPStore store = connection.openImap()) {
            IMAPFolder target = MailFolders.openForWriting(store, to);
            target.close(false);
            IMAPFolder folder = (IMAPFolder) store.getFolder(mail.folder());
            folder.open(Folder.READ_WRITE);
            Optional<Long> there = find(folder, mail);
            Message message = there.isEmpty() ? null : folder.getMessageByUID(there.get());
            if (message == null) {
                return Optional.empty();
            }
            return Optional.of(
                    store.hasCapability("MOVE")
                            ? moveAtOnce(store, folder, message, target)
                            : moveByCopy(store, folder, message, target));
        }
    }

    private static Landed moveAtOnce(IMAPStore store, IMAPFolder folder, Message message, IMAPFolder target)
            throws MessagingException {
        Message[] one = {message};
        if (!store.hasCapability("UIDPLUS")) {
            folder.moveMessages(one, target);
            return Landed.UNTOLD;
        }
        return landed(folder.moveUIDMessages(one, target));
    }

    private static Landed landed(AppendUID[] told) {
        return told != null && told.length == 1 && told[0] != null
                ? new Landed(told[0].uidvalidity, told[0].uid)
                : Landed.UNTOLD;
    }

    /** Marks a mail as read or unread. Does nothing when it is no longer there. */
    public void markRead(MailAt mail, boolean read) throws MessagingException {
        try (IMAPStore store = connection.openImap()) {
            IMAPFolder folder = (IMAPFolder) store.getFolder(mail.folder());
            folder.open(Folder.READ_WRITE);
            Optional<Long> there = find(folder, mail);
            Message message = there.isEmpty() ? null : folder.getMessageByUID(there.get());
            if (message != null) {
                message.setFlag(Flags.Flag.SEEN, read);
            }
        }
    }

    /**
     * The UID of a mail in a folder: the one it had, as long as the folder's numbers still hold and its Message-ID is
     * there; else the only one with its Message-ID; else one whose bytes prove it.
     */
    private static Optional<Long> find(IMAPFolder folder, MailAt mail) throws MessagingException {
        ImapCommands commands = new ImapCommands(folder);
        List<Long> sameId = mail.messageId().isPresent()
                ? commands.searchMessageId(mail.messageId().get())
                : List.of();
        boolean numbersHold = mail.uid() > 0 && folder.getUIDValidity() == mail.uidValidity();
        if (numbersHold && (mail.messageId().isEmpty() || sameId.contains(mail.uid()))) {
            return Optional.of(mail.uid());
        }
        if (sameId.size() == 1) {
            return Optional.of(sameId.get(0));
        }
        return mail.messageId().isPresent() ? proved(commands, sameId, mail) : provedBySize(commands, mail);
    }

    private static Optional<Long> provedBySize(ImapCommands commands, MailAt mail) throws MessagingException {
        Optional<RawMail> raw = mail.raw().get();
        return raw.isEmpty()
                ? Optional.empty()
                : proved(commands, commands.searchSize(raw.get().size()), mail);
    }

    private static Optional<Long> proved(ImapCommands commands, List<Long> candidates, MailAt mail)
            throws MessagingException {
        for (Long uid : candidates.subList(0, Math.min(candidates.size(), MOST_COMPARED))) {
            MessageDigest digest = Sha256.digest();
            try {
                if (commands.fetchPieces(uid, MailLimits.LARGEST_MESSAGE, digest::update)
                                .isPresent()
                        && mail.isProvedBy(Sha256.hex(digest))) {
                    return Optional.of(uid);
                }
            } catch (IOException e) {
                throw new MessagingException("The message could not be compared", e);
            }
        }
        return Optional.empty();
    }

    /** Without MOVE (RFC 6851): copy, mark as deleted, and expunge that one message where UIDPLUS allows it. */
    private static Landed moveByCopy(IMAPStore store, IMAPFolder folder, Message message, IMAPFolder target)
            throws MessagingException {
        Message[] one = {message};
        boolean uidPlus = store.hasCapability("UIDPLUS");
        Landed landed = Landed.UNTOLD;
        if (uidPlus) {
            landed = landed(folder.copyUIDMessages(one, target));
        } else {
            folder.copyMessages(one, target);
        }
        message.setFlag(Flags.Flag.DELETED, true);
        // A plain EXPUNGE would also remove what somebody else has marked, so without UIDPLUS the mark has to do.
        if (uidPlus) {
            folder.expunge(one);
        }
        return landed;
    }
}
