/** An account as a whole in one ZIP of open formats: out of here, and into another installation. */
@NullMarked
package org.squallnote.server.portable;

import org.jspecify.annotations.NullMarked;
