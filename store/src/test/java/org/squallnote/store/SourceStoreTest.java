package org.squallnote.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.squallnote.core.message.Parties;
import org.squallnote.core.source.ChatGap;
import org.squallnote.core.source.ChatRoom;
import org.squallnote.core.source.Cursor;
import org.squallnote.core.source.Source;
import org.squallnote.core.source.SourceBuilder;
import org.squallnote.core.source.SourceStatus;

class SourceStoreTest extends StoreTest {

    @Test
    void aSourceBelongsToItsOwner() {
        assertThat(sources.addedAt(owner, source)).isEqualTo(CLOCK_CHANGE);
        assertThat(sources.byId(owner, source).orElseThrow().secret()).containsExactly(1, 2);
        assertThat(sources.byId(stranger, source)).isEmpty();
        assertThat(sources.of(stranger)).isEmpty();
        assertThat(sources.connected()).extracting(Source::id).contains(source);
    }

    @Test
    void anUpdateCountsOnlyOnTheVersionItWasBasedOn() {
        Source old = sources.byId(owner, source).orElseThrow();
        assertThat(sources.update(old)).isEqualTo(1);
        assertThat(sources.update(old)).isZero();
    }

    @Test
    void theStatusIsNoChangeOfTheSource() {
        sources.setStatus(owner, source, SourceStatus.TROUBLE, "Nothing answers", 1, 2);
        Source now = sources.byId(owner, source).orElseThrow();
        assertThat(now.statusText()).isEqualTo("Nothing answers");
        assertThat(now.version()).isZero();
        sources.setStatus(stranger, source, SourceStatus.LIVE, "", 0, 0);
        assertThat(sources.byId(owner, source).orElseThrow().status()).isEqualTo(SourceStatus.TROUBLE);
    }

    @Test
    void aDisconnectedSourceKeepsItsAddressMine() {
        Source old = sources.byId(owner, source).orElseThrow();
        sources.update(SourceBuilder.builder(old)
                .statusText("")
                .removedAt(CLOCK_CHANGE)
                .build());
        assertThat(sources.of(owner)).isEmpty();
        assertThat(sources.connected()).extracting(Source::id).doesNotContain(source);
        assertThat(sources.addresses(owner)).containsExactly(old.address());
    }

    @Test
    void aCursorIsReplaced() {
        sources.saveCursor(owner, source, new Cursor("INBOX", 1, "5"));
        sources.saveCursor(owner, source, new Cursor("INBOX", 2, "7"));
        assertThat(sources.cursor(owner, source, "INBOX")).contains(new Cursor("INBOX", 2, "7"));
        assertThat(sources.cursor(owner, source, "Sent")).isEmpty();
        assertThat(sources.cursor(stranger, source, "INBOX")).isEmpty();
    }

    @Test
    void roomsAreReplacedAndGapsAreKeptUntilTheyAreClosed() {
        sources.saveRoom(owner, source, new ChatRoom("!r", "Yard", false, new Parties(List.of(TILDA))));
        sources.saveRoom(owner, source, new ChatRoom("!r", "Slipway", true, new Parties(List.of(TILDA))));
        assertThat(sources.rooms(owner, source)).extracting(ChatRoom::name).containsExactly("Slipway");
        assertThat(sources.room(stranger, "!r")).isEmpty();
        ChatGap gap = new ChatGap("!r", "t1");
        sources.saveGap(owner, source, gap);
        sources.saveGap(owner, source, gap);
        assertThat(sources.gaps(owner, source)).containsExactly(gap);
        sources.deleteGap(stranger, source, gap);
        assertThat(sources.gaps(owner, source)).hasSize(1);
        sources.deleteGap(owner, source, gap);
        assertThat(sources.gaps(owner, source)).isEmpty();
        assertThat(sources.byId(owner, UUID.randomUUID())).isEmpty();
    }
}
