/** The files beside the database. */
@NullMarked
package org.squallnote.server.content;

import org.jspecify.annotations.NullMarked;
