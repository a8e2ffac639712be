@NullMarked
package embercup.core.plan;

import org.jspecify.annotations.NullMarked;
