@NullMarked
package embercup.server.demo;

import org.jspecify.annotations.NullMarked;
