/** Messages from files. */
@NullMarked
package org.squallnote.server.files;

import org.jspecify.annotations.NullMarked;
