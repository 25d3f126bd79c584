/** What scripts may do for an account. */
@NullMarked
package org.squallnote.core.access;

import org.jspecify.annotations.NullMarked;
