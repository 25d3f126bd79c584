/** What has ended, with its stamps. */
@NullMarked
package org.squallnote.server.record;

import org.jspecify.annotations.NullMarked;
