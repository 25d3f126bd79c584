/** What is planned for which day, and how long was worked at what. */
@NullMarked
package org.squallnote.store.plan;

import org.jspecify.annotations.NullMarked;
