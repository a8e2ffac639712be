/** What the house has before it, as a calendar (RFC 5545). */
@NullMarked
package embercup.server.calendar;

import org.jspecify.annotations.NullMarked;
