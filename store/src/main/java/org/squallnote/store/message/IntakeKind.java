package org.squallnote.store.message;

import org.squallnote.core.message.Nature;

/** What decides in which heap of Intake a message waits. */
public record IntakeKind(Nature nature, boolean asksMe) {}
