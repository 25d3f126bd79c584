/**
 * Working time, and reply-by dates in it.
 */
@NullMarked
package org.squallnote.core.time;

import org.jspecify.annotations.NullMarked;
