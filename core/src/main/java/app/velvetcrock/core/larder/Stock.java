package app.velvetcrock.core.larder;

import app.velvetcrock.core.deed.MayAtStores;
import app.velvetcrock.core.keeping.Glass;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.core.materia.Texture;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.spirit.Strength;
import java.time.LocalDate;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/** What other places see of the stores. */
public final class Stock {

    private Stock() {}

    /** A herb lot. */
    public record OfHerb(
            UUID id,
            String name,
            HerbKind kind,
            Texture texture,
            Moisture moisture,
            Optional<Density> weighedBulk,
            Optional<LocalDate> acquired,
            Optional<LocalDate> bestBefore,
            Mass left) {

        public boolean isPast(LocalDate today) {
            return bestBefore.filter(today::isAfter).isPresent();
        }

        /** The same lot taken to another cut. */
        public OfHerb at(Texture finer) {
            return new OfHerb(id, name, kind, finer, moisture, Optional.empty(), acquired, bestBefore, left);
        }

        /** What it is in a few words: "dried leaf, cut and sifted". */
        public String state() {
            return moisture.word() + " " + texture.part().word() + ", "
                    + texture.cut().word();
        }
    }

    /** A carrier bottle. */
    public record OfCarrier(
            UUID id,
            String name,
            CarrierKind kind,
            Density density,
            Optional<LocalDate> opened,
            Optional<LocalDate> bestBefore,
            Mass left) {

        public Volume volumeLeft() {
            return density.volumeOf(left);
        }
    }

    /**
     * Anything else that has stock.
     *
     * @param density absent for what is counted in pieces
     * @param strength of a spirit or tincture; absent where it is not told
     * @param dropsPerMillilitre as counted of this bottle
     * @param holds what a container holds
     * @param left in its own unit: milligrams, or pieces
     */
    public record OfSupply(
            UUID id,
            LotKind kind,
            String key,
            String name,
            Optional<Density> density,
            Optional<LocalDate> opened,
            Optional<LocalDate> bestBefore,
            Optional<Strength> strength,
            Optional<Double> dropsPerMillilitre,
            Optional<Volume> holds,
            long left) {

        public Mass mass() {
            return Mass.ofMilligrams(left);
        }
    }

    /** A filled bottle: what it holds when full, and its glass. */
    public record OfBottle(Volume size, Glass glass) {}

    /**
     * Any lot, with all that is written down of it.
     *
     * @param kindKey what it is, by its key in the catalogue
     * @param herb part, cut and state of a herb
     * @param priceMinor what {@code priceFor} of it cost, in minor units
     * @param left in its own unit
     */
    public record OfLot(
            UUID id,
            LotKind kind,
            String kindKey,
            String name,
            Unit unit,
            Optional<HerbState> herb,
            Optional<Density> density,
            Origin origin,
            String cameFrom,
            String keptAt,
            Optional<Long> priceMinor,
            long priceFor,
            Optional<LocalDate> acquired,
            Optional<LocalDate> opened,
            Optional<LocalDate> bestBefore,
            Optional<Strength> strength,
            Optional<Double> dropsPerMillilitre,
            Set<MayAtStores.Own> measurable,
            long left) {

        /** The cost of so much of it, in minor units; absent where none is known. */
        public Optional<Double> costOf(long amount) {
            return priceMinor.map(minor -> minor * (amount / (double) priceFor));
        }
    }

    /** What a herb is and how it is: {@code weighedBulk} where the household weighed a cup of it. */
    public record HerbState(Part part, Cut cut, Moisture moisture, Optional<Density> weighedBulk) {}

    /**
     * A finished oil: what there was at first and what is left.
     *
     * @param bottle the bottle it is in; absent for what still stands as it was strained
     */
    public record OfOil(
            UUID id,
            String name,
            UUID batch,
            Density density,
            LocalDate useBy,
            Mass atFirst,
            Mass left,
            Storage place,
            Optional<OfBottle> bottle) {

        public Volume volumeLeft() {
            return density.volumeOf(left);
        }
    }

    /**
     * A made thing: tins, jars, bars, or what is left of a melt.
     *
     * @param holds what one holds to the brim; absent for what stayed in the pan, which is weighed
     * @param each what is in one; of what is weighed, nothing
     * @param left pieces, or milligrams
     * @param keptBack why it may be neither given away nor sold
     */
    public record OfGood(
            UUID id,
            String name,
            String kind,
            UUID batch,
            Optional<Volume> holds,
            Mass each,
            LocalDate useBy,
            Storage place,
            long left,
            Optional<String> keptBack) {

        public boolean inPieces() {
            return holds.isPresent();
        }

        /** How much of it there is in all. */
        public Mass mass() {
            return inPieces() ? each.times(left) : Mass.ofMilligrams(left);
        }
    }

    /** The one unit a lot is counted in. */
    public enum Unit {
        MILLIGRAM {
            @Override
            public String words(long amount) {
                return Decimals.upTo(amount / PER_THOUSAND, 1) + " g";
            }
        },
        MICROLITRE {
            @Override
            public String words(long amount) {
                return Decimals.upTo(amount / PER_THOUSAND, 1) + " mL";
            }
        },
        PIECE {
            @Override
            public String words(long amount) {
                return String.valueOf(amount);
            }
        };

        private static final double PER_THOUSAND = 1000;

        public abstract String words(long amount);
    }
}
