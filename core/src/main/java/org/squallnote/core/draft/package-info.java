/** Answers that are being written. */
@NullMarked
package org.squallnote.core.draft;

import org.jspecify.annotations.NullMarked;
