/** The built page and how it is served. */
@NullMarked
package org.squallnote.server.page;

import org.jspecify.annotations.NullMarked;
