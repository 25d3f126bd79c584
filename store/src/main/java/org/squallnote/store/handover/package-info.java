/** What was handed over to colleagues. */
@NullMarked
package org.squallnote.store.handover;

import org.jspecify.annotations.NullMarked;
