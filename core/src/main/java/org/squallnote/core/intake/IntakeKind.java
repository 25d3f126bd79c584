package org.squallnote.core.intake;

import org.squallnote.core.message.Nature;

/** What decides in which heap of Intake a message waits. */
public record IntakeKind(Nature nature, boolean asksMe) {}
