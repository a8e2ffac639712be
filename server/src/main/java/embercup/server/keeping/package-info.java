/** What is kept: jars with the rest of a pot, and the cups out of them. */
@NullMarked
package embercup.server.keeping;

import org.jspecify.annotations.NullMarked;
