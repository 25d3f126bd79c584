/** Taking in follow-ups that other programs have written. */
@NullMarked
package org.squallnote.server.takein;

import org.jspecify.annotations.NullMarked;
