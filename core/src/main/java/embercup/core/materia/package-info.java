@NullMarked
package embercup.core.materia;

import org.jspecify.annotations.NullMarked;
