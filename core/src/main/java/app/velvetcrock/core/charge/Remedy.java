package app.velvetcrock.core.charge;

import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import java.util.List;

/** A change that makes a charge cover or fit, in numbers; taking it leads to a charge that does. */
public sealed interface Remedy {

    /** Pour this much in all, which makes the ratio 1 : {@code ratio}. */
    record MoreOil(Volume oil, double ratio) implements Remedy {}

    /** Take only this much herb. */
    record LessHerb(Mass herb) implements Remedy {}

    /** Cut it this much finer, so that it lies closer. */
    record FinerCut(Cut cut) implements Remedy {}

    /** Divide it over these jars from the stock, since none takes it all. */
    record SplitOver(List<JarSplit.Share> shares) implements Remedy {

        public SplitOver {
            shares = List.copyOf(shares);
        }
    }

    /** Use this jar from the stock. */
    record OtherJar(Vessel vessel) implements Remedy {}
}
