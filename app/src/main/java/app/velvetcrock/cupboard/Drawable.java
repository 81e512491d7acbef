package app.velvetcrock.cupboard;

import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.stillroom.House;
import java.util.Optional;

/** How much of an oil can be taken out, of what was said. */
public final class Drawable {

    /** The last of it is often said a little too high, since it was rounded when it was shown. */
    private static final double ROUNDED = 0.02;

    private Drawable() {}

    /** What was said, at most what is left; absent where it is nothing, or more than there is. */
    public static Optional<Mass> of(Mass said, Stock.OfOil oil, House house) {
        if (said.toMilligrams() <= 0 || said.grams() > oil.left().grams() * (1 + ROUNDED)) {
            return Optional.empty();
        }
        return Optional.of(said.compareTo(oil.left()) > 0 || isAllAsShown(said, oil, house) ? oil.left() : said);
    }

    /** In words, where it cannot be. */
    public static String refusal(Mass said, Stock.OfOil oil, House house) {
        return "Understood %s; %s is left."
                .formatted(house.volume(oil.density().volumeOf(said)), house.volume(oil.volumeLeft()));
    }

    /** What is left was rounded when it was shown; typing it back means all of it, and no drop is to stay behind. */
    private static boolean isAllAsShown(Mass mass, Stock.OfOil oil, House house) {
        return mass.grams() >= oil.left().grams() * (1 - ROUNDED)
                && house.volume(oil.density().volumeOf(mass)).equals(house.volume(oil.volumeLeft()));
    }
}
