package app.velvetcrock.devices;

import java.util.List;

/**
 * What a device said, line by line.
 *
 * @param good what can be taken in
 * @param refused what cannot, and why
 */
record Said<T>(List<T> good, List<Refusal> refused) {

    Said {
        good = List.copyOf(good);
        refused = List.copyOf(refused);
    }

    /** @param line which of the message's, from 1 */
    record Refusal(int line, String why) {}
}
