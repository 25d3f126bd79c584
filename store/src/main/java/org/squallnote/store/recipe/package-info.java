/** Recipes and their runs. */
@NullMarked
package org.squallnote.store.recipe;

import org.jspecify.annotations.NullMarked;
