@NullMarked
package embercup.core.recipe;

import org.jspecify.annotations.NullMarked;
