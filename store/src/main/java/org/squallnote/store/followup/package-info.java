/** Follow-ups and the messages they came from. */
@NullMarked
package org.squallnote.store.followup;

import org.jspecify.annotations.NullMarked;
