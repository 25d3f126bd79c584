/**
 * Categories: the user's own groups for follow-ups.
 */
@NullMarked
package org.squallnote.core.category;

import org.jspecify.annotations.NullMarked;
