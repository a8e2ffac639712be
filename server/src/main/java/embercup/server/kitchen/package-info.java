@NullMarked
package embercup.server.kitchen;

import org.jspecify.annotations.NullMarked;
