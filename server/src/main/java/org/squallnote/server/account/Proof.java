package org.squallnote.server.account;

import jakarta.validation.constraints.Size;

/** The password once more, for a change that needs it. */
record Proof(@Size(max = 200) String currentPassword) {}
