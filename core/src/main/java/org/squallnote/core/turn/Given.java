package org.squallnote.core.turn;

import java.util.UUID;
import org.squallnote.core.message.Party;

/**
 * An answer to something that I had asked.
 *
 * @param party who owed it
 * @param ask my message
 * @param what I asked, in my words
 * @param answer the message that counts as the answer
 */
public record Given(Party party, UUID ask, String what, UUID answer) {}
