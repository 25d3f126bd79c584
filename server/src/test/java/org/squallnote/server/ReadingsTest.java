package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.squallnote.core.turn.StoredFacts;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.reading.AccountReader;
import org.squallnote.server.reading.AccountReaders;
import org.squallnote.server.reading.Readings;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.reading.ReadingStore;

/** Messages that are read again. */
class ReadingsTest extends ServerTest {

    @Autowired
    private Readings readings;

    @Autowired
    private AccountReaders readers;

    @Autowired
    private MessageStore messages;

    @Autowired
    private ReadingStore stored;

    @Test
    void whatCannotBeReadAgainKeepsWhatWasFoundInIt() {
        SignedIn me = newAccount();
        arrive(me, mail(1, "m@x.example", "The list", "", "Could you send me the list by Friday?"));
        UUID owner = me.accountId();
        UUID id = UUID.fromString(messageId(me, "m@x.example"));
        StoredFacts before = stored.of(owner, id).orElseThrow();

        readings.refresh(stumbling(readers.of(owner)), messages.byId(owner, id).orElseThrow());

        assertThat(before.facts().asksMe()).isTrue();
        assertThat(stored.of(owner, id)).contains(before);
        assertThat(messages.byId(owner, id).orElseThrow().asksMe()).isTrue();
        assertThat(stored.outdated(owner, "another", 10)).isEmpty();
    }

    /** Rules that throw in the middle of a text: without working time no day can be reckoned. */
    @SuppressWarnings("NullAway")
    private static AccountReader stumbling(AccountReader whole) {
        return new AccountReader(
                whole.me(), whole.monthFirst(), null, whole.replyDays(), whole.rules(), whole.unheard(), "another");
    }
}
