/** The time that was spent: told, put right, billed. */
@NullMarked
package org.squallnote.server.spent;

import org.jspecify.annotations.NullMarked;
