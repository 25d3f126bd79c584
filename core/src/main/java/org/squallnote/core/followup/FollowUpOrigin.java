package org.squallnote.core.followup;

import java.util.UUID;
import org.squallnote.core.message.Channel;

/** Who wrote the message that a follow-up came from, and where it is. */
public record FollowUpOrigin(
        UUID followUpId, UUID messageId, UUID threadId, String fromName, String fromAddress, Channel channel) {}
