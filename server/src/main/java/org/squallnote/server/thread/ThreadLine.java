package org.squallnote.server.thread;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.message.Channel;
import org.squallnote.core.turn.CloseReason;
import org.squallnote.core.turn.Turn;

/** A thread as its row in the list shows it. */
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
        int version) {}
