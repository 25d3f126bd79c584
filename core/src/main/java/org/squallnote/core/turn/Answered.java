package org.squallnote.core.turn;

import java.time.Instant;
import java.util.UUID;

/**
 * That somebody answered what I had asked, by which it is known how long they usually take.
 *
 * @param party their address
 * @param ask my message
 * @param askedAt when it was sent
 * @param answeredAt when they answered
 */
public record Answered(String party, UUID ask, Instant askedAt, Instant answeredAt) {}
