/**
 * What a message says: own words apart from quoted ones, and whether it asks something of me.
 *
 * <p>The reading here is deliberately small: a question or a request in the own words of a personal
 * message that is addressed to me counts as an ask.
 */
@NullMarked
package org.squallnote.core.reading;

import org.jspecify.annotations.NullMarked;
