/** How documents are kept: their names, their forms, and how an earlier form is brought forward (decision 057). */
@NullMarked
package embercup.server.kept;

import org.jspecify.annotations.NullMarked;
