package org.squallnote.core.followup;

import java.util.UUID;

/** What a file or an address that lies with a follow-up is called, by which the follow-up is found too. */
public record AttachedWords(UUID followUpId, String words) {}
