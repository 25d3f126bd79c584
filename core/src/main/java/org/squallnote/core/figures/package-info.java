/** What the record says about how the work goes. */
@NullMarked
package org.squallnote.core.figures;

import org.jspecify.annotations.NullMarked;
