/** Mail and chat accounts, and how far they have been read. */
@NullMarked
package org.squallnote.store.source;

import org.jspecify.annotations.NullMarked;
