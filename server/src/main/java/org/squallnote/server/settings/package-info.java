/** How an account works: names, working hours, days off. */
@NullMarked
package org.squallnote.server.settings;

import org.jspecify.annotations.NullMarked;
