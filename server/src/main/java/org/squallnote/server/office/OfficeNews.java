package org.squallnote.server.office;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.squallnote.core.account.Account;
import org.squallnote.core.message.Decision;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.office.OfficeWord;
import org.squallnote.core.office.OfficeWord.State;
import org.squallnote.server.arrival.ThreadTurns;
import org.squallnote.server.command.Changes;
import org.squallnote.server.command.Commands;
import org.squallnote.server.intake.Decisions;
import org.squallnote.server.live.Topic;
import org.squallnote.store.account.AccountStore;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.office.OfficeStore;

/**
 * Lets what one reader of a mailbox said hold for the others: what is taken or answered goes out of their Intake and is
 * not their turn; what is let go comes back. What was not told when the application ended is told after it starts.
 */
@Component
class OfficeNews {

    private static final Logger LOG = LoggerFactory.getLogger(OfficeNews.class);

    private final OfficeStore store;
    private final AccountStore accounts;
    private final MessageStore messages;
    private final Decisions decisions;
    private final ThreadTurns turns;
    private final Commands commands;

    OfficeNews(
            OfficeStore store,
            AccountStore accounts,
            MessageStore messages,
            Decisions decisions,
            ThreadTurns turns,
            Commands commands) {
        this.store = store;
        this.accounts = accounts;
        this.messages = messages;
        this.decisions = decisions;
        this.turns = turns;
        this.commands = commands;
    }

    /** Tells everybody what they have not been told. */
    @Scheduled(fixedDelay = 500)
    void spread() {
        List<OfficeWord> untold = store.untold();
        for (OfficeWord word : untold) {
            try {
                store.readers(word.account(), word.address())
                        .forEach(reader -> accounts.byId(reader).ifPresent(account -> tell(account, word)));
                // Their own turn follows too: what they have let go is with them again.
                accounts.byId(word.account()).ifPresent(account -> refresh(account, word));
                store.told(word);
            } catch (RuntimeException e) {
                // Tried again in a moment; one that cannot be told must not keep the others.
                LOG.warn("What was said of {} could not be told", word.messageId(), e);
            }
        }
    }

    private void refresh(Account account, OfficeWord word) {
        commands.runForAnother(account.id(), "office-news", news(word), changes -> {
            messages.withMessageId(account.id(), word.messageId())
                    .forEach(copy -> turns.refresh(account.id(), copy.threadId()));
            changes.label("Of the office: " + word.state()).touch(Topic.THREADS, Topic.OFFICE);
        });
    }

    private void tell(Account reader, OfficeWord word) {
        UUID owner = reader.id();
        String who = accounts.byId(word.account()).map(Account::name).orElse("Somebody");
        commands.runForAnother(owner, "office-news", news(word), changes -> {
            List<StoredMessage> copies = messages.withMessageId(owner, word.messageId());
            copies.forEach(copy -> settle(owner, copy, word, changes));
            copies.forEach(copy -> turns.refresh(owner, copy.threadId()));
            String subject =
                    copies.stream().map(StoredMessage::subject).findFirst().orElse("");
            changes.label(words(who, word) + ": " + subject).touch(Topic.INTAKE, Topic.THREADS, Topic.OFFICE);
        });
    }

    /** What waits goes out of Intake; what went out by this, and nothing else, comes back. */
    private void settle(UUID owner, StoredMessage copy, OfficeWord word, Changes changes) {
        Decision settled = word.state() == State.ANSWERED ? Decision.ANSWERED : Decision.NOTHING;
        if (word.state() != State.FREE && copy.decision() == Decision.UNDECIDED) {
            decisions.settledElsewhere(owner, copy, settled, changes);
        } else if (word.state() == State.FREE && wasSettledHere(owner, copy)) {
            decisions.backWithin(owner, copy.id(), changes);
        }
    }

    private boolean wasSettledHere(UUID owner, StoredMessage copy) {
        return decisions.lastDecidedBy(owner, copy.id()).equals(Optional.of("office-news"));
    }

    private static String words(String who, OfficeWord word) {
        return switch (word.state()) {
            case TAKEN -> who + " sees to it";
            case ANSWERED -> who + " has answered";
            case FREE -> who + " has let it go";
        };
    }

    private static String news(OfficeWord word) {
        return word.address() + " " + word.messageId() + " " + word.at();
    }
}
