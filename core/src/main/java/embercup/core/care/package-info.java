@NullMarked
package embercup.core.care;

import org.jspecify.annotations.NullMarked;
