package org.squallnote.core.reading;

import org.squallnote.core.text.Span;

/**
 * Words that take an ask back.
 *
 * @param words where they stand
 * @param lastMessageOnly whether they take back the last message only ("please ignore my last mail")
 * @param about the words that say what is no longer needed, empty when they say nothing
 */
public record Withdrawal(Span words, boolean lastMessageOnly, Span about) {}
