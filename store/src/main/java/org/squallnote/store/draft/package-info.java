/** Answers that are being written. */
@NullMarked
package org.squallnote.store.draft;

import org.jspecify.annotations.NullMarked;
