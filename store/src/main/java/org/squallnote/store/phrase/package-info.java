/** What is often written. */
@NullMarked
package org.squallnote.store.phrase;

import org.jspecify.annotations.NullMarked;
