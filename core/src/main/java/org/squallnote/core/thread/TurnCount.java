package org.squallnote.core.thread;

import org.squallnote.core.turn.Turn;

/** How many threads stand so. */
public record TurnCount(Turn turn, int threads) {}
