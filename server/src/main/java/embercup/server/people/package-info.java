@NullMarked
package embercup.server.people;

import org.jspecify.annotations.NullMarked;
