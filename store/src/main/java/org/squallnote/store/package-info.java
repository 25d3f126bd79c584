/** The store: H2 through MyBatis. Every query carries the owner. */
@NullMarked
package org.squallnote.store;

import org.jspecify.annotations.NullMarked;
