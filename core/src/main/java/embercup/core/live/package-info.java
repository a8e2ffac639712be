@NullMarked
package embercup.core.live;

import org.jspecify.annotations.NullMarked;
