package org.squallnote.server.source;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.message.MailSpool;
import org.squallnote.core.message.Parties;
import org.squallnote.core.source.ChatGap;
import org.squallnote.core.source.ChatRoom;
import org.squallnote.core.source.Cursor;
import org.squallnote.core.source.Source;
import org.squallnote.core.source.SourceStatus;
import org.squallnote.server.arrival.ChatArrivals;
import org.squallnote.server.arrival.MailArrivals;
import org.squallnote.server.command.OwnerLocks;
import org.squallnote.server.live.LiveEvents;
import org.squallnote.server.live.Topic;
import org.squallnote.sources.SyncStatus;
import org.squallnote.sources.chat.ChatEvent;
import org.squallnote.sources.chat.ChatJournal;
import org.squallnote.sources.chat.Gap;
import org.squallnote.sources.chat.RoomView;
import org.squallnote.sources.mail.ArrivedMail;
import org.squallnote.sources.mail.MailJournal;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.source.SourceStore;

/** Makes the journals through which the engines put down what they find. */
@Component
public class SourceJournals {

    private static final String SYNC = "sync";

    /** How many days the rooms have been read back as a whole. */
    private static final String READ_BACK = "read back";

    private final SourceStore sources;
    private final MessageStore messages;
    private final MailArrivals mailArrivals;
    private final ChatArrivals chatArrivals;
    private final OwnerLocks locks;
    private final LiveEvents live;
    private final MailSpool spool;

    SourceJournals(
            SourceStore sources,
            MessageStore messages,
            MailArrivals mailArrivals,
            ChatArrivals chatArrivals,
            OwnerLocks locks,
            LiveEvents live,
            MailSpool spool) {
        this.spool = spool;
        this.sources = sources;
        this.messages = messages;
        this.mailArrivals = mailArrivals;
        this.chatArrivals = chatArrivals;
        this.locks = locks;
        this.live = live;
    }

    /** Where a mail account's news is put down. */
    public MailJournal mail(Source source, Optional<String> sentFolder) {
        UUID owner = source.owner();
        UUID id = source.id();
        return new MailJournal() {
            @Override
            public Set<Long> knownUids(String folder, long uidValidity) {
                return locks.write(owner, () -> {
                    messages.deleteOutdatedPlaces(owner, id, folder, uidValidity);
                    return new HashSet<>(messages.uids(owner, id, folder, uidValidity));
                });
            }

            @Override
            public Optional<Long> completeAt(String folder, long uidValidity) {
                return sources.cursor(owner, id, scope(source, folder))
                        .filter(cursor -> cursor.uidValidity() == uidValidity)
                        .map(cursor -> Long.parseLong(cursor.token()));
            }

            @Override
            public void markComplete(String folder, long uidValidity, long highestModSeq) {
                locks.write(
                        owner,
                        () -> sources.saveCursor(
                                owner,
                                id,
                                new Cursor(scope(source, folder), uidValidity, String.valueOf(highestModSeq))));
            }

            @Override
            public MailSpool spool() {
                return spool;
            }

            @Override
            public void save(String folder, long uidValidity, List<ArrivedMail> batch) {
                boolean sent = sentFolder.filter(folder::equals).isPresent();
                locks.write(
                        owner,
                        () -> mailArrivals.takeIn(
                                new MailArrivals.Origin(owner, id, folder, uidValidity, sent, false), batch));
            }
        };
    }

    /** Reading further back makes a folder incomplete again. */
    private static String scope(Source source, String folder) {
        return source.daysBack() + " days of " + folder;
    }

    /** Where a chat account's news is put down. */
    public ChatJournal chat(Source source) {
        UUID owner = source.owner();
        UUID id = source.id();
        return new ChatJournal() {
            @Override
            public Optional<String> syncToken() {
                // Whoever wants more days than before begins anew, to learn where each room's past goes on.
                return sources.cursor(owner, id, SYNC)
                        .filter(cursor -> cursor.uidValidity() == 0 || cursor.uidValidity() >= source.daysBack())
                        .map(Cursor::token);
            }

            @Override
            public List<RoomView> rooms() {
                return sources.rooms(owner, id).stream()
                        .map(room -> new RoomView(
                                room.roomId(),
                                room.name(),
                                room.direct(),
                                room.members().list()))
                        .toList();
            }

            @Override
            public List<Gap> gaps() {
                return sources.gaps(owner, id).stream()
                        .map(gap -> new Gap(gap.roomId(), gap.token()))
                        .toList();
            }

            @Override
            public void saveSync(List<RoomView> rooms, List<ChatEvent> events, List<Gap> gaps, String nextToken) {
                locks.write(owner, () -> {
                    for (RoomView room : rooms) {
                        Parties members =
                                new Parties(room.members().stream().limit(500).toList());
                        sources.saveRoom(owner, id, new ChatRoom(room.roomId(), room.name(), room.direct(), members));
                    }
                    chatArrivals.takeIn(source, events);
                    gaps.forEach(gap -> sources.saveGap(owner, id, new ChatGap(gap.roomId(), gap.token())));
                    sources.saveCursor(owner, id, new Cursor(SYNC, source.daysBack(), nextToken));
                    noteWhatIsReadBack();
                });
            }

            @Override
            public boolean savePage(Gap gap, List<ChatEvent> events, Optional<Gap> rest) {
                return locks.write(owner, () -> {
                    boolean known = chatArrivals.takeIn(source, events);
                    sources.deleteGap(owner, id, new ChatGap(gap.roomId(), gap.token()));
                    boolean further = daysReadBack()
                            .filter(days -> days < source.daysBack())
                            .isPresent();
                    rest.filter(more -> !known || further)
                            .ifPresent(more -> sources.saveGap(owner, id, new ChatGap(more.roomId(), more.token())));
                    noteWhatIsReadBack();
                    return known;
                });
            }

            private Optional<Long> daysReadBack() {
                return sources.cursor(owner, id, READ_BACK).map(Cursor::uidValidity);
            }

            private void noteWhatIsReadBack() {
                boolean noted =
                        daysReadBack().filter(days -> days == source.daysBack()).isPresent();
                if (!noted && sources.gaps(owner, id).isEmpty()) {
                    sources.saveCursor(owner, id, new Cursor(READ_BACK, source.daysBack(), ""));
                }
            }
        };
    }

    public SyncStatus status(Source source) {
        return new SyncStatus() {
            @Override
            public void reading(int done, int total) {
                set(SourceStatus.READING, "Reading what is there.", done, total);
            }

            @Override
            public void live() {
                set(SourceStatus.LIVE, "New messages arrive as they come.", 0, 0);
            }

            @Override
            public void trouble(String whatHappened) {
                set(SourceStatus.TROUBLE, whatHappened + " Trying again by itself; nothing is lost.", 0, 0);
            }

            private void set(SourceStatus status, String text, int done, int total) {
                String cut = text.length() > 900 ? text.substring(0, 900) : text;
                sources.setStatus(source.owner(), source.id(), status, cut, done, total);
                SourceJournals.this.live.changed(source.owner(), List.of(Topic.SOURCES));
            }
        };
    }
}
