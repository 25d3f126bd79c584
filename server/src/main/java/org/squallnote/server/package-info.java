/** The application. */
@NullMarked
package org.squallnote.server;

import org.jspecify.annotations.NullMarked;
