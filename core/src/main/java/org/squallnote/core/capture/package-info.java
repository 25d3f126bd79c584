/** What somebody types, pastes or takes down in a meeting, understood as follow-ups. */
@NullMarked
package org.squallnote.core.capture;

import org.jspecify.annotations.NullMarked;
