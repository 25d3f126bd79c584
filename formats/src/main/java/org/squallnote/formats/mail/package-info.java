/**
 * Mail as bytes (RFC 5322, MIME) to and from what the rules need. Tolerant on input: whatever the bytes are, a
 * message comes out, with notices about what was wrong. Strict on output.
 */
@NullMarked
package org.squallnote.formats.mail;

import org.jspecify.annotations.NullMarked;
