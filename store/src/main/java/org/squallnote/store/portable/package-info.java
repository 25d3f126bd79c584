/** All rows of an account, for taking them elsewhere. */
@NullMarked
package org.squallnote.store.portable;

import org.jspecify.annotations.NullMarked;
