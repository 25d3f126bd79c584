/** Intake: what waits for a decision, and the decisions. */
@NullMarked
package org.squallnote.server.intake;

import org.jspecify.annotations.NullMarked;
