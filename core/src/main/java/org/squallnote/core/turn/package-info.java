/**
 * Whose turn it is in a thread, derived from its messages and the decisions made by hand.
 *
 * <p>The rule: the last message written by a person decides. If it came in, the thread is with me; if
 * it went out, it is with those it was addressed to. Automatic messages decide nothing. A decision made
 * by hand stands until a message that was not known at that moment changes the facts.
 */
@NullMarked
package org.squallnote.core.turn;

import org.jspecify.annotations.NullMarked;
