package org.squallnote.core.handover;

import java.time.Instant;
import java.util.UUID;

/**
 * A message that was handed over by mail.
 *
 * @param identity the Message-ID of the mail that hands it over, by which its taker is asked
 * @param giver the account that handed it over
 * @param giverMessage the giver's message
 * @param takerAddress to which address it went, lower case
 * @param word what the taker said when they declined
 */
public record HandOver(
        String identity,
        UUID giver,
        UUID giverMessage,
        String takerAddress,
        State state,
        String word,
        Instant offeredAt) {

    /** What became of it. */
    public enum State {
        OFFERED,
        ACCEPTED,
        DECLINED
    }
}
