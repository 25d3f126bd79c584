/** The time that was spent, as it is told and billed. */
@NullMarked
package org.squallnote.core.spent;

import org.jspecify.annotations.NullMarked;
