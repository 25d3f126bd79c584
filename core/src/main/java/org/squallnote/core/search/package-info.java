/** What is looked for, and searches that are kept under a name. */
@NullMarked
package org.squallnote.core.search;

import org.jspecify.annotations.NullMarked;
