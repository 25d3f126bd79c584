package org.squallnote.core.turn;

import java.time.Instant;

/**
 * That a kind of message is no answer of somebody's.
 *
 * @param party their address
 * @param pattern the kind, as {@link AnswerPattern#text()}
 * @param since from which moment on; what was sent before stays as it was
 */
public record AnswerRule(String party, String pattern, Instant since) {}
