/** What holds for the whole installation. */
@NullMarked
package org.squallnote.store.installation;

import org.jspecify.annotations.NullMarked;
