/**
 * Which messages form one conversation: RFC 5256 REFERENCES for mail, relations and quiet hours for chat.
 */
@NullMarked
package org.squallnote.core.thread;

import org.jspecify.annotations.NullMarked;
