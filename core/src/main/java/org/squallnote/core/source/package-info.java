/** Where messages come from. */
@NullMarked
package org.squallnote.core.source;

import org.jspecify.annotations.NullMarked;
