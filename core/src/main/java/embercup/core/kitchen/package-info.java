@NullMarked
package embercup.core.kitchen;

import org.jspecify.annotations.NullMarked;
