@NullMarked
package embercup.server.herbs;

import org.jspecify.annotations.NullMarked;
