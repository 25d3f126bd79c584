/** Mail accounts as sources: their settings, how they are tried, read and sent by. */
@NullMarked
package org.squallnote.server.source.mail;

import org.jspecify.annotations.NullMarked;
