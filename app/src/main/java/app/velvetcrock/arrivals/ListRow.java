package app.velvetcrock.arrivals;

import app.velvetcrock.core.intake.Arriving;
import app.velvetcrock.stillroom.House;
import java.util.Locale;

/**
 * A thing of the list, worded.
 *
 * @param what it was understood as; empty where it is in doubt
 * @param wrong what is not clear, and {@code instead} what to write
 */
record ListRow(String written, String what, String wrong, String instead) {

    static ListRow of(Arriving one, House house) {
        if (one instanceof Arriving.Doubt doubt) {
            return new ListRow(doubt.written(), "", doubt.wrong(), doubt.instead());
        }
        return new ListRow(one.written(), what(one, house), "", "");
    }

    private static String what(Arriving one, House house) {
        if (one instanceof Arriving.Herb herb) {
            return "%s of %s, %s %s, %s; %s"
                            .formatted(
                                    house.mass(herb.mass()),
                                    herb.kind().common().toLowerCase(Locale.ROOT),
                                    herb.moisture().word(),
                                    herb.texture().part().word(),
                                    herb.texture().cut().word(),
                                    herb.origin().word())
                    + besides(herb.besides(), house);
        } else if (one instanceof Arriving.Oil oil) {
            return "%s of %s%s%s"
                    .formatted(
                            oil.kind().melting().isPresent()
                                    ? house.mass(oil.mass())
                                    : house.volume(oil.kind().density().volumeOf(oil.mass())),
                            oil.kind().common().toLowerCase(Locale.ROOT),
                            oil.besides().opened().isPresent() ? "" : ", sealed",
                            besides(oil.besides(), house));
        } else if (one instanceof Arriving.Supply supply) {
            return "%s of %s"
                            .formatted(
                                    house.mass(supply.mass()),
                                    supply.kind().common().toLowerCase(Locale.ROOT))
                    + besides(supply.besides(), house);
        } else if (one instanceof Arriving.Containers some) {
            return "%d × %s, to fill".formatted(some.count(), some.name());
        }
        Arriving.Jars jars = (Arriving.Jars) one;
        return "%d × %s, %s wide inside, to infuse in"
                .formatted(
                        jars.count(),
                        jars.vessel().name(),
                        house.length(jars.vessel().innerWidth()));
    }

    private static String besides(Arriving.Besides besides, House house) {
        return besides.opened().map(on -> ", opened " + house.date(on)).orElse("")
                + besides.best().map(on -> ", best before " + house.date(on)).orElse("")
                + (besides.from().isEmpty() ? "" : ", from " + besides.from())
                + besides.price()
                        .map(price -> ", for "
                                + PutAway.minor(price, house).map(house::money).orElse(price.toPlainString()))
                        .orElse("");
    }
}
