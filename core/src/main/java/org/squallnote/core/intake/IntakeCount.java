package org.squallnote.core.intake;

/** How many messages wait in a heap. */
public record IntakeCount(Heap heap, int count) {}
