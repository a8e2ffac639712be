@NullMarked
package embercup.core.workings;

import org.jspecify.annotations.NullMarked;
