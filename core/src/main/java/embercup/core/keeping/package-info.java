@NullMarked
package embercup.core.keeping;

import org.jspecify.annotations.NullMarked;
