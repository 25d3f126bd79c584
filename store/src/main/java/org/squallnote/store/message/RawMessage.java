package org.squallnote.store.message;

/** A message as it came: mail as its bytes, a chat event as JSON. */
public record RawMessage(byte[] raw) {}
