@NullMarked
package embercup.core.brew;

import org.jspecify.annotations.NullMarked;
