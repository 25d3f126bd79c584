/** HTML from messages: made safe to show, and turned into text to read. */
@NullMarked
package org.squallnote.formats.html;

import org.jspecify.annotations.NullMarked;
