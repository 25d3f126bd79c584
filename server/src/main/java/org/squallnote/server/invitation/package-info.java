/**
 * Invitations to meetings: shown with the day around them, answered by mail, written into a calendar.
 */
@NullMarked
package org.squallnote.server.invitation;

import org.jspecify.annotations.NullMarked;
