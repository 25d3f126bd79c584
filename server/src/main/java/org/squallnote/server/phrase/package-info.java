/** What is often written, with fields to fill. */
@NullMarked
package org.squallnote.server.phrase;

import org.jspecify.annotations.NullMarked;
