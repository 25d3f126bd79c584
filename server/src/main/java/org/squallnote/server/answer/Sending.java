package org.squallnote.server.answer;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.source.Source;
import org.squallnote.core.source.SourceKind;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.source.SourceStore;

/** From where and in which thread a mail goes out. */
@Component
public class Sending {

    private final SourceStore sources;

    Sending(SourceStore sources) {
        this.sources = sources;
    }

    /** Answers go out from the mailbox the message came to; a message from a file is answered from the first mailbox. */
    public Source source(UUID owner, StoredMessage message) {
        List<Source> mailboxes = sources.of(owner).stream()
                .filter(source -> source.kind() == SourceKind.MAIL)
                .toList();
        Set<String> addressed = new TreeSet<>();
        Stream.concat(message.recipients().to().stream(), message.recipients().cc().stream())
                .forEach(party -> addressed.add(party.address()));
        return mailboxes.stream()
                .filter(source -> source.id().equals(message.sourceId()) && addressed.contains(source.address()))
                .findFirst()
                .or(() -> mailboxes.stream()
                        .filter(source -> addressed.contains(source.address()))
                        .findFirst())
                .or(() -> mailboxes.stream()
                        .filter(source -> source.id().equals(message.sourceId()))
                        .findFirst())
                .or(() -> mailboxes.stream().findFirst())
                .orElseThrow(
                        () -> Refusal.invalid(
                                "No mail account is connected to send from. Your text is kept; connect one in Settings › Sources."));
    }

    /** The domain of a mailbox. */
    public static String domain(Source source) {
        return source.address().substring(source.address().indexOf('@') + 1);
    }

    /** The chain of identifiers up to and including a message (RFC 5322 section 3.6.4). */
    public static List<String> references(StoredMessage message) {
        List<String> references = new ArrayList<>(message.refs().list());
        if (!message.messageId().isEmpty()) {
            references.remove(message.messageId());
            references.add(message.messageId());
        }
        return references;
    }
}
