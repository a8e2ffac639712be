@NullMarked
package embercup.server.notebook;

import org.jspecify.annotations.NullMarked;
