package org.squallnote.core.handover;

import java.time.Instant;

/**
 * That nothing more is to come of a hand-over: whoever took it owes nothing any more.
 *
 * @param takerAddress whoever took it
 * @param at when
 */
public record HandOverEnd(String identity, String takerAddress, Instant at) {}
