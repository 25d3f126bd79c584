/** Tells other programs what happened. */
@NullMarked
package org.squallnote.sources.webhook;

import org.jspecify.annotations.NullMarked;
