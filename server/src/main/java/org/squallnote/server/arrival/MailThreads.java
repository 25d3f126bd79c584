package org.squallnote.server.arrival;

import java.time.Instant;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.squallnote.core.message.LinkRow;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.ThreadingRow;
import org.squallnote.core.thread.BaseSubject;
import org.squallnote.core.thread.ReferencesThreading;
import org.squallnote.core.thread.SubjectStep;
import org.squallnote.core.thread.ThreadNode;
import org.squallnote.core.thread.Threadable;
import org.squallnote.formats.mail.ParsedMail;
import org.squallnote.server.time.UuidV7;
import org.squallnote.store.message.MessageStore;

/**
 * Keeps mail threads right as messages arrive in any order.
 *
 * <p>Messages that share an identifier, directly or over others, form a component. Threading one component gives the
 * same threads as threading the whole mailbox, so that only the components of what arrives are threaded again.
 */
@Component
public class MailThreads {

    /** The thread of a chat message that has just been stored. */
    public static final UUID UNTHREADED = new UUID(0, 0);

    private final MessageStore messages;
    private final ThreadAssignment assignment;
    private final UuidV7 ids;

    MailThreads(MessageStore messages, ThreadAssignment assignment, UuidV7 ids) {
        this.messages = messages;
        this.assignment = assignment;
        this.ids = ids;
    }

    /**
     * Where a new message belongs.
     *
     * @param thread the one it most likely gets: with that it is stored, so that most rows are written once
     */
    record Likely(UUID component, UUID thread) {}

    /** Where a new message belongs. */
    Likely likelyFor(UUID owner, ParsedMail mail, String baseSubject, Instant sentAt) {
        Set<String> identifiers = new LinkedHashSet<>(mail.references());
        mail.messageId().ifPresent(identifiers::add);
        Map<String, UUID> linked = linked(owner, identifiers);
        Set<UUID> found = new LinkedHashSet<>();
        identifiers.stream().map(linked::get).filter(Objects::nonNull).forEach(found::add);
        found.addAll(bySubject(owner, mail, baseSubject, sentAt));
        Optional<UUID> known = found.stream().findFirst();
        UUID component = known.orElseGet(ids::next);
        found.forEach(other -> connect(owner, component, other));
        identifiers.stream()
                .filter(identifier -> !linked.containsKey(identifier))
                .forEach(identifier -> messages.insertLink(owner, identifier, component));
        return new Likely(
                component, known.flatMap(its -> messages.aThreadOf(owner, its)).orElseGet(ids::next));
    }

    private Map<String, UUID> linked(UUID owner, Set<String> identifiers) {
        return identifiers.isEmpty()
                ? Map.of()
                : messages.links(owner, identifiers).stream()
                        .collect(Collectors.toMap(LinkRow::identity, LinkRow::component));
    }

    /** The components with which a message goes by its subject, where no references say it. */
    private Set<UUID> bySubject(UUID owner, ParsedMail mail, String baseSubject, Instant sentAt) {
        if (baseSubject.isEmpty()) {
            return Set.of();
        }
        Set<UUID> found = new LinkedHashSet<>();
        if (mail.references().isEmpty() && BaseSubject.of(mail.subject()).replyOrForward()) {
            found.addAll(messages.componentsBySubject(
                    owner, baseSubject, sentAt.minus(ReferencesThreading.SUBJECT_REACH), sentAt));
        }
        found.addAll(messages.componentsOfUnlinkedReplies(
                owner, baseSubject, sentAt, sentAt.plus(ReferencesThreading.SUBJECT_REACH)));
        return found;
    }

    /** Lets two components be threaded as one from now on; alone that changes no thread. */
    UUID connect(UUID owner, UUID component, UUID other) {
        if (!component.equals(other)) {
            messages.moveLinks(owner, other, component);
            messages.moveComponent(owner, other, component);
        }
        return component;
    }

    /**
     * Threads components again; answers which threads have changed or were added to.
     *
     * @param fresh messages that have just been stored, whose thread was only likely
     */
    Set<UUID> rethread(UUID owner, Set<UUID> components, Set<UUID> fresh) {
        Set<UUID> touched = new HashSet<>();
        for (UUID component : components) {
            List<ThreadingRow> rows = messages.inComponent(owner, component);
            List<Threadable<ThreadingRow>> threadables =
                    rows.stream().map(MailThreads::threadable).toList();
            List<List<ThreadingRow>> threads =
                    ReferencesThreading.threads(threadables, SubjectStep.UNLINKED_REPLIES).stream()
                            .map(ThreadNode::keys)
                            .toList();
            touched.addAll(assignment.assign(owner, threads, row -> fresh.contains(row.id())));
        }
        return touched;
    }

    private static Threadable<ThreadingRow> threadable(ThreadingRow row) {
        Set<String> parties = new HashSet<>();
        Stream.of(
                        List.of(new Party(row.fromName(), row.fromAddress())),
                        row.recipients().to(),
                        row.recipients().cc())
                .flatMap(List::stream)
                .map(Party::address)
                .forEach(parties::add);
        return new Threadable<>(
                row,
                row.messageId().isEmpty() ? Optional.empty() : Optional.of(row.messageId()),
                row.refs().list(),
                row.subject(),
                row.sentAt(),
                parties);
    }
}
