/** What is learned from the household's own brews: its stove and its tastes, each to be switched off or forgotten. */
@NullMarked
package embercup.server.learned;

import org.jspecify.annotations.NullMarked;
