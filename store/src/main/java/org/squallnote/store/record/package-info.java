/** What has ended. */
@NullMarked
package org.squallnote.store.record;

import org.jspecify.annotations.NullMarked;
