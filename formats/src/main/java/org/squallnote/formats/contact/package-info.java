/** Contacts as other programs exchange them. */
@NullMarked
package org.squallnote.formats.contact;

import org.jspecify.annotations.NullMarked;
