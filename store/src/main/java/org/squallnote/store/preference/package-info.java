/** Small things that an account has chosen. */
@NullMarked
package org.squallnote.store.preference;

import org.jspecify.annotations.NullMarked;
