/** Errors as RFC 9457 problem details. */
@NullMarked
package org.squallnote.server.problem;

import org.jspecify.annotations.NullMarked;
