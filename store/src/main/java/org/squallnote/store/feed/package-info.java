/** Secret addresses of calendars that are given out. */
@NullMarked
package org.squallnote.store.feed;

import org.jspecify.annotations.NullMarked;
