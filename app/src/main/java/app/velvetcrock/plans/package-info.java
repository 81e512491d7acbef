/** Frozen plans as they are stored, in every shape there ever was. It makes no plan. */
@NullMarked
package app.velvetcrock.plans;

import org.jspecify.annotations.NullMarked;
