package org.squallnote.server.thread;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.message.Channel;
import org.squallnote.core.thread.Attention;
import org.squallnote.core.turn.CloseReason;
import org.squallnote.core.turn.Turn;

/**
 * A thread as its row in the list shows it.
 *
 * @param followUps how many open follow-ups were made from it
 * @param categoryId the category of the last of its follow-ups that has one
 * @param attention how much it is mine
 * @param closingWord the message that closes it where nobody owes anything
 * @param group what it stands together with, where rows stand in groups
 */
record ThreadLine(
        UUID id,
        Channel channel,
        String subject,
        @Nullable String room,
        List<String> people,
        Turn turn,
        @Nullable Instant since,
        long silenceWorkingMinutes,
        List<DebtView> debts,
        List<AwaitedView> awaited,
        boolean openedAgain,
        @Nullable CloseReason closedAs,
        int messageCount,
        List<Tick> trace,
        int followUps,
        @Nullable UUID categoryId,
        @Nullable Group group,
        Attention attention,
        @Nullable UUID closingWord,
        int version) {

    /**
     * Rows that stand together.
     *
     * @param key names it; for a person their address
     * @param size how many rows there are in all
     */
    record Group(String key, String title, int size) {}
}
