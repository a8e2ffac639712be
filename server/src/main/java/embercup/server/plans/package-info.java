@NullMarked
package embercup.server.plans;

import org.jspecify.annotations.NullMarked;
