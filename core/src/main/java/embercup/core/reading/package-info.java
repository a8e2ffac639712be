@NullMarked
package embercup.core.reading;

import org.jspecify.annotations.NullMarked;
