/** What kinds there are: the shipped ones with the household's own in place of them. It knows no stock. */
@NullMarked
package app.velvetcrock.catalogue;

import org.jspecify.annotations.NullMarked;
