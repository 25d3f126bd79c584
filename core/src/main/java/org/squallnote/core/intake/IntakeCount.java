package org.squallnote.core.intake;

import org.squallnote.core.message.Nature;

/** How many undecided messages there are of a kind. */
public record IntakeCount(Nature nature, boolean asksMe, int count) {}
