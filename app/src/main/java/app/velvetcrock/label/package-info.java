/** Labels: what is to be printed, on which paper, as it will be read; the page and the PDF draw the one layout of the core. */
@NullMarked
package app.velvetcrock.label;

import org.jspecify.annotations.NullMarked;
