/**
 * Whose turn it is in a thread: what I owe and to whom, and who owes me something, folded over the messages in the order
 * in which they were sent.
 *
 * <p>{@link org.squallnote.core.turn.TurnFold} keeps the state after every message, so that a message that arrives last
 * costs one step, and one that arrives late only the steps after it; the state never depends on the order of arrival.
 * {@link org.squallnote.core.turn.Facts} is all that the fold knows of a message; it is derived from a reading and may be
 * stored.
 *
 * <p>Decisions made by hand are steps too: they come after the last message that was known when they were made, and hold
 * until a newer message changes the facts.
 *
 * <p>Where the rules of the job are silent: a withdrawal that names the last message takes back what that one asked; one
 * that names a thing takes back what mentions it, or everything where nothing does. An answer to a list or a shared
 * mailbox is known by the domain it comes from or by the address it goes through. Somebody who was asked by name beside
 * me answers for themselves and not in my place.
 */
@NullMarked
package org.squallnote.core.turn;

import org.jspecify.annotations.NullMarked;
