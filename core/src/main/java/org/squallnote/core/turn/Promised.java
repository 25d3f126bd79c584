package org.squallnote.core.turn;

import java.time.Instant;
import java.util.UUID;

/**
 * My word that I will do something.
 *
 * @param in the message in which I gave it
 * @param at when
 * @param words the promise in my words, empty where it said no more than yes
 */
public record Promised(UUID in, Instant at, String words) {}
