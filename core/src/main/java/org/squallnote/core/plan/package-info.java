/** The day and the weeks ahead: what is planned for which day, whether it fits, and what would make it fit. */
@NullMarked
package org.squallnote.core.plan;

import org.jspecify.annotations.NullMarked;
