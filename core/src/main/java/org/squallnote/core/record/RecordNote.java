package org.squallnote.core.record;

import java.util.UUID;

/** What was noted of something after it had ended. */
public record RecordNote(UUID followUpId, String note) {}
