/** How the API describes itself. */
@NullMarked
package org.squallnote.server.api;

import org.jspecify.annotations.NullMarked;
