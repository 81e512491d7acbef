package app.velvetcrock.web;

import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A form as it came.
 *
 * @param prefix before the ids of its fields on the page
 * @param key sent once, so that a repeat is known for one; null where it carries none
 * @param leadsTo where it leads when somebody did the same before
 */
public record FormSent(String prefix, @Nullable UUID key, Fields fields, String leadsTo) {}
