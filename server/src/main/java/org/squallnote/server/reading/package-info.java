/** Messages read for an account: with its names, its working time and what its user has corrected. */
@NullMarked
package org.squallnote.server.reading;

import org.jspecify.annotations.NullMarked;
