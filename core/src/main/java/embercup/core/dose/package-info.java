@NullMarked
package embercup.core.dose;

import org.jspecify.annotations.NullMarked;
