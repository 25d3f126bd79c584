package org.squallnote.core.thread;

/**
 * How many threads there are with somebody.
 *
 * @param party their address
 */
public record PartyCount(String party, int threads) {}
