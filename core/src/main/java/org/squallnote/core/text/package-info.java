/**
 * Text cut into sentences and words that know where they stand, and phrases looked up in them.
 *
 * <p>Everything here runs in time proportional to the text: no regular expression is used on text of unknown
 * length, and a phrase has at most a dozen words.
 */
@NullMarked
package org.squallnote.core.text;

import org.jspecify.annotations.NullMarked;
