/**
 * What comes back: rules of repetition (RFC 5545 section 3.3.10), read from words and said in words, and the days that they
 * give in somebody's working time.
 */
@NullMarked
package org.squallnote.core.repetition;

import org.jspecify.annotations.NullMarked;
