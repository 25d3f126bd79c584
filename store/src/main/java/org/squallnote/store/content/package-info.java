/** Large mails as files beside the database, named after what they hold. */
@NullMarked
package org.squallnote.store.content;

import org.jspecify.annotations.NullMarked;
