/** A small homeserver that speaks the needed part of the Matrix client-server API (v1.11). */
@NullMarked
package org.squallnote.standins.chat;

import org.jspecify.annotations.NullMarked;
