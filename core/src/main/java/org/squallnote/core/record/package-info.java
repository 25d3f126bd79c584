/** What has ended, with what can be said of it. */
@NullMarked
package org.squallnote.core.record;

import org.jspecify.annotations.NullMarked;
