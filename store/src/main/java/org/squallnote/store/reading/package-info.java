/** What the engine found in messages: a cache that is computed again when the engine or the calendar changes. */
@NullMarked
package org.squallnote.store.reading;

import org.jspecify.annotations.NullMarked;
