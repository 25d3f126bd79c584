/**
 * Invitations to meetings: what iTIP messages (RFC 5546) say, which of them counts, and who has answered.
 */
@NullMarked
package org.squallnote.core.invitation;

import org.jspecify.annotations.NullMarked;
