package org.squallnote.sources.mail;

import jakarta.mail.MessagingException;
import java.io.IOException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.eclipse.angus.mail.iap.Argument;
import org.eclipse.angus.mail.iap.ByteArray;
import org.eclipse.angus.mail.iap.ProtocolException;
import org.eclipse.angus.mail.iap.Response;
import org.eclipse.angus.mail.imap.IMAPFolder;
import org.eclipse.angus.mail.imap.protocol.BODY;
import org.eclipse.angus.mail.imap.protocol.FetchResponse;
import org.eclipse.angus.mail.imap.protocol.IMAPProtocol;
import org.eclipse.angus.mail.imap.protocol.IMAPResponse;
import org.eclipse.angus.mail.imap.protocol.INTERNALDATE;
import org.eclipse.angus.mail.imap.protocol.RFC822SIZE;
import org.eclipse.angus.mail.imap.protocol.UID;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.squallnote.core.message.RawMail;

/**
 * The IMAP commands that reading needs, by UID and on exact bytes (RFC 3501 section 6.4). Nothing here parses an
 * envelope or a body structure, so that a broken message cannot break the reading of its folder.
 */
final class ImapCommands {

    private static final DateTimeFormatter DATE = DateTimeFormatter.ofPattern("d-MMM-yyyy", Locale.ENGLISH);

    /** Of a large message so much is asked for at once, in bytes. */
    private static final int PIECE = 1024 * 1024;

    private static final Logger LOG = LoggerFactory.getLogger(ImapCommands.class);

    private final IMAPFolder folder;

    ImapCommands(IMAPFolder folder) {
        this.folder = folder;
    }

    /** A message's bytes and the date the server received it. */
    record Fetched(long uid, Instant receivedAt, RawMail raw) {}

    /** UIDs of messages received on or after the day. */
    List<Long> searchSince(LocalDate day) throws MessagingException {
        return search("SINCE " + DATE.format(day));
    }

    /** UIDs of messages from the given UID on. */
    List<Long> searchFrom(long uid) throws MessagingException {
        // "n:*" always holds the last message too (RFC 3501 section 6.4.8), even when its UID is lower.
        return search("UID " + uid + ":*").stream()
                .filter(found -> found >= uid)
                .toList();
    }

    /** The highest UID in the folder, zero when it is empty. */
    long highestUid() throws MessagingException {
        return search("UID *").stream().mapToLong(Long::longValue).max().orElse(0);
    }

    /** UIDs of messages with this Message-ID. */
    List<Long> searchMessageId(String messageId) throws MessagingException {
        Argument argument = new Argument();
        argument.writeAtom("HEADER");
        argument.writeAtom("Message-ID");
        argument.writeString(messageId);
        return uids(execute("UID SEARCH", argument));
    }

    /** UIDs of messages of exactly this size in bytes. */
    List<Long> searchSize(long bytes) throws MessagingException {
        return search("LARGER " + (bytes - 1) + " SMALLER " + (bytes + 1));
    }

    private List<Long> search(String criteria) throws MessagingException {
        return uids(execute("UID SEARCH " + criteria, null));
    }

    private static List<Long> uids(Response[] responses) {
        List<Long> uids = new ArrayList<>();
        for (Response response : responses) {
            if (response instanceof IMAPResponse imap && imap.keyEquals("SEARCH")) {
                long uid;
                while ((uid = imap.readLong()) != -1) {
                    uids.add(uid);
                }
            }
        }
        return uids;
    }

    /** Sizes in bytes by UID. */
    Map<Long, Long> sizes(List<Long> uids) throws MessagingException {
        Map<Long, Long> sizes = new HashMap<>();
        for (Response response : execute("UID FETCH " + set(uids) + " (UID RFC822.SIZE)", null)) {
            if (response instanceof FetchResponse fetch) {
                UID uid = fetch.getItem(UID.class);
                RFC822SIZE size = fetch.getItem(RFC822SIZE.class);
                if (uid != null && size != null) {
                    sizes.put(uid.uid, size.size);
                }
            }
        }
        return sizes;
    }

    /**
     * The bytes of messages, without marking them as read.
     *
     * @param most how many bytes of each
     */
    List<Fetched> fetch(List<Long> uids, int most) throws MessagingException {
        String command = "UID FETCH " + set(uids) + " (UID INTERNALDATE BODY.PEEK[]<0." + most + ">)";
        List<Fetched> fetched = new ArrayList<>();
        for (Response response : execute(command, null)) {
            if (response instanceof FetchResponse fetch) {
                UID uid = fetch.getItem(UID.class);
                BODY body = fetch.getItem(BODY.class);
                ByteArray bytes = body == null ? null : body.getByteArray();
                if (uid != null && bytes != null) {
                    fetched.add(new Fetched(uid.uid, receivedAt(fetch), RawMail.of(bytes.getNewBytes())));
                }
            }
        }
        return fetched;
    }

    /** Takes the bytes of a message piece by piece. */
    interface PieceTaker {
        void take(byte[] bytes, int from, int length) throws IOException;
    }

    /**
     * The bytes of a large message, piece by piece.
     *
     * @param most how many bytes
     * @return when the server received it; absent when it is not there any more
     */
    Optional<Instant> fetchPieces(long uid, long most, PieceTaker taker) throws MessagingException, IOException {
        Optional<Instant> receivedAt = Optional.empty();
        int length = PIECE;
        for (long from = 0; length == PIECE && from < most; from += length) {
            length = 0;
            String command = "UID FETCH " + uid + " (UID INTERNALDATE BODY.PEEK[]<" + from + "." + PIECE + ">)";
            for (Response response : execute(command, null)) {
                if (response instanceof FetchResponse fetch && isOf(fetch, uid)) {
                    BODY body = fetch.getItem(BODY.class);
                    ByteArray bytes = body == null ? null : body.getByteArray();
                    if (bytes != null) {
                        taker.take(bytes.getBytes(), bytes.getStart(), bytes.getCount());
                        length = bytes.getCount();
                        receivedAt = Optional.of(receivedAt(fetch));
                    }
                }
            }
        }
        return receivedAt;
    }

    private static boolean isOf(FetchResponse fetch, long uid) {
        UID item = fetch.getItem(UID.class);
        return item != null && item.uid == uid;
    }

    private static Instant receivedAt(FetchResponse fetch) {
        return Optional.ofNullable(fetch.getItem(INTERNALDATE.class))
                .map(INTERNALDATE::getDate)
                .map(date -> date.toInstant())
                .orElse(Instant.EPOCH);
    }

    /** A round trip that lets the server tell what is new. */
    void noop() throws MessagingException {
        execute("NOOP", null);
    }

    /** Ends the connection without another word: the server does not listen. Whoever waits on it is told. */
    void giveUp() {
        try {
            folder.forceClose();
        } catch (MessagingException e) {
            LOG.debug("{} could not be closed", folder.getFullName(), e);
        }
    }

    Response[] execute(String command, @Nullable Argument argument) throws MessagingException {
        Object result = folder.doCommand(protocol -> run(protocol, command, argument));
        return (Response[]) result;
    }

    private static Response[] run(IMAPProtocol protocol, String command, @Nullable Argument argument)
            throws ProtocolException {
        Response[] responses = protocol.command(command, argument);
        protocol.notifyResponseHandlers(responses);
        protocol.handleResult(responses[responses.length - 1]);
        return responses;
    }

    private static String set(List<Long> uids) {
        StringBuilder set = new StringBuilder();
        for (Long uid : uids) {
            set.append(set.length() == 0 ? "" : ",").append(uid);
        }
        return set.toString();
    }
}
