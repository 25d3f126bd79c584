/** What was changed by whom, and how it was before. */
@NullMarked
package org.squallnote.core.history;

import org.jspecify.annotations.NullMarked;
