package org.squallnote.sources.mail;

import jakarta.mail.Folder;
import jakarta.mail.MessagingException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.eclipse.angus.mail.iap.ProtocolException;
import org.eclipse.angus.mail.iap.Response;
import org.eclipse.angus.mail.imap.IMAPFolder;
import org.eclipse.angus.mail.imap.IMAPStore;
import org.eclipse.angus.mail.imap.protocol.IMAPProtocol;
import org.eclipse.angus.mail.imap.protocol.IMAPResponse;
import org.eclipse.angus.mail.imap.protocol.ListInfo;

/**
 * The folders of a mail account, and which ones hold sent and archived mail and drafts: by the server's special-use marks
 * (RFC 6154), else proposed by name.
 *
 * @param names all folders that can hold messages
 */
public record MailFolders(
        List<String> names, Optional<String> sent, Optional<String> archive, Optional<String> drafts) {

    private static final List<String> SENT_NAMES =
            List.of("sent", "sent items", "sent messages", "sent mail", "gesendet", "envoyés", "enviados");
    private static final List<String> ARCHIVE_NAMES = List.of("archive", "archives", "archiv");
    private static final List<String> DRAFT_NAMES = List.of("drafts", "draft", "entwürfe", "brouillons", "borradores");

    static MailFolders of(IMAPStore store) throws MessagingException {
        IMAPFolder root = (IMAPFolder) store.getDefaultFolder();
        List<ListInfo> found = list(store, root);
        List<String> names = new ArrayList<>();
        Optional<String> sent = Optional.empty();
        Optional<String> archive = Optional.empty();
        Optional<String> drafts = Optional.empty();
        for (ListInfo info : found) {
            List<String> marks = Arrays.stream(Optional.ofNullable(info.attrs).orElse(new String[0]))
                    .map(mark -> mark.toLowerCase(Locale.ROOT))
                    .toList();
            if (marks.contains("\\noselect") || marks.contains("\\nonexistent")) {
                continue;
            }
            names.add(info.name);
            if (marks.contains("\\sent")) {
                sent = Optional.of(info.name);
            }
            if (marks.contains("\\archive")) {
                archive = Optional.of(info.name);
            }
            if (marks.contains("\\drafts")) {
                drafts = Optional.of(info.name);
            }
        }
        char separator = found.isEmpty() ? '/' : found.get(0).separator;
        return new MailFolders(
                List.copyOf(names),
                sent.or(() -> byName(names, separator, SENT_NAMES)),
                archive.or(() -> byName(names, separator, ARCHIVE_NAMES)),
                drafts.or(() -> byName(names, separator, DRAFT_NAMES)));
    }

    private static List<ListInfo> list(IMAPStore store, IMAPFolder root) throws MessagingException {
        boolean marked = store.hasCapability("SPECIAL-USE") && store.hasCapability("LIST-EXTENDED");
        Object result = root.doCommand(protocol -> marked
                ? markedList(protocol)
                : Optional.ofNullable(protocol.list("", "*")).orElse(new ListInfo[0]));
        return List.of((ListInfo[]) result);
    }

    private static ListInfo[] markedList(IMAPProtocol protocol) throws ProtocolException {
        Response[] responses = protocol.command("LIST \"\" \"*\" RETURN (SPECIAL-USE)", null);
        List<ListInfo> infos = new ArrayList<>();
        for (Response response : responses) {
            if (response instanceof IMAPResponse imap && imap.keyEquals("LIST")) {
                infos.add(new ListInfo(imap));
            }
        }
        protocol.handleResult(responses[responses.length - 1]);
        return infos.toArray(new ListInfo[0]);
    }

    private static Optional<String> byName(List<String> names, char separator, List<String> wanted) {
        for (String candidate : wanted) {
            for (String name : names) {
                String last = name.substring(name.lastIndexOf(separator) + 1);
                if (last.toLowerCase(Locale.ROOT).equals(candidate)) {
                    return Optional.of(name);
                }
            }
        }
        return Optional.empty();
    }

    /** Opens a folder for writing, making it first where it is missing. */
    static IMAPFolder openForWriting(IMAPStore store, String name) throws MessagingException {
        IMAPFolder folder = (IMAPFolder) store.getFolder(name);
        if (!folder.exists()) {
            folder.create(Folder.HOLDS_MESSAGES);
        }
        folder.open(Folder.READ_WRITE);
        return folder;
    }
}
