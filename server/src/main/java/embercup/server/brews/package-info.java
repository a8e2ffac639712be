@NullMarked
package embercup.server.brews;

import org.jspecify.annotations.NullMarked;
