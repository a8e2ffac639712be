@NullMarked
package embercup.server.recipes;

import org.jspecify.annotations.NullMarked;
