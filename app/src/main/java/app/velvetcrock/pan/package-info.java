/** Pan: something made of an oil, planned by a sentence and made along to jars in the Cupboard. It keeps no stock of its own. */
@NullMarked
package app.velvetcrock.pan;

import org.jspecify.annotations.NullMarked;
