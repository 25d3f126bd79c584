/**
 * Series of follow-ups.
 */
@NullMarked
package org.squallnote.store.repetition;

import org.jspecify.annotations.NullMarked;
