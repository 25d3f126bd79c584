/** What the engines of all kinds of sources share. */
@NullMarked
package org.squallnote.sources;

import org.jspecify.annotations.NullMarked;
