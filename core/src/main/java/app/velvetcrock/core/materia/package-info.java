/**
 * Reference data of herbs, carriers, parts and cuts, read from commented resource files; computes nothing with them.
 */
@NullMarked
package app.velvetcrock.core.materia;

import org.jspecify.annotations.NullMarked;
