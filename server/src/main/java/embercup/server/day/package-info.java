@NullMarked
package embercup.server.day;

import org.jspecify.annotations.NullMarked;
