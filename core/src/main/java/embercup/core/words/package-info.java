@NullMarked
package embercup.core.words;

import org.jspecify.annotations.NullMarked;
