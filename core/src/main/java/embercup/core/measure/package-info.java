@NullMarked
package embercup.core.measure;

import org.jspecify.annotations.NullMarked;
