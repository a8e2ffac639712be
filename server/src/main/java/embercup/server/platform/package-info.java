@NullMarked
package embercup.server.platform;

import org.jspecify.annotations.NullMarked;
