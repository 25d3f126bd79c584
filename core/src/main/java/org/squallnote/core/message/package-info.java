/**
 * Messages as the rules see them: parties, channel, direction and nature.
 */
@NullMarked
package org.squallnote.core.message;

import org.jspecify.annotations.NullMarked;
