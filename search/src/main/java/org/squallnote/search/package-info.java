/**
 * The index of everything that can be found: one for each account, beside the database, made again from it at any time.
 */
@NullMarked
package org.squallnote.search;

import org.jspecify.annotations.NullMarked;
