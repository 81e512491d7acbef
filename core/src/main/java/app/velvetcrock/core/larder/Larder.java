package app.velvetcrock.core.larder;

import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.SupplyKind;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What the stores and the cupboard have, and the kinds that could be bought.
 *
 * @param oils finished ones, the first to be used first
 * @param supplies waxes, spirits, what is stirred in, containers
 * @param kinds what is known of, with the household's own corrections
 * @param fromUse what may not be used at all; it is offered nowhere
 * @param fromGiving what may be used, though nothing of it is given away
 */
public record Larder(
        List<Stock.OfHerb> herbs,
        List<Stock.OfCarrier> carriers,
        List<Stock.OfOil> oils,
        List<Stock.OfSupply> supplies,
        Kinds kinds,
        Withheld fromUse,
        Withheld fromGiving) {

    /** What is known of, whether any of it is here or not. */
    public record Kinds(List<CarrierKind> carriers, List<SupplyKind> supplies) {

        public Kinds {
            carriers = List.copyOf(carriers);
            supplies = List.copyOf(supplies);
        }

        public Optional<SupplyKind> supply(String key) {
            return supplies.stream().filter(kind -> kind.key().equals(key)).findFirst();
        }
    }

    public Larder {
        herbs = List.copyOf(herbs);
        carriers = List.copyOf(carriers);
        oils = List.copyOf(oils);
        supplies = List.copyOf(supplies);
    }

    /** Supplies of some kinds, in their order. */
    public Stream<Stock.OfSupply> supplies(Set<LotKind> of) {
        return supplies.stream().filter(one -> of.contains(one.kind()));
    }
}
