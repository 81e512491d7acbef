package app.velvetcrock.cupboard;

import app.velvetcrock.batch.Batches;
import app.velvetcrock.batch.Makings;
import app.velvetcrock.catalogue.Catalogue;
import app.velvetcrock.core.caution.Bearing;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.pan.MakingCourse;
import app.velvetcrock.core.parting.Recipient;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.stock.Goods;
import app.velvetcrock.stock.Oils;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** What an oil or a made thing bears of the table of who it is for: by what really is in it. */
@Component
class Borne {

    private final Goods goods;
    private final Oils oils;
    private final Batches batches;
    private final Makings makings;
    private final Catalogue catalogue;
    private final Materia materia;

    Borne(Goods goods, Oils oils, Batches batches, Makings makings, Catalogue catalogue, Materia materia) {
        this.goods = goods;
        this.oils = oils;
        this.batches = batches;
        this.makings = makings;
        this.catalogue = catalogue;
        this.materia = materia;
    }

    Set<String> of(UUID lot) {
        return goods.isGood(lot) ? made(makings.sheet(goods.find(lot).batch()).course()) : oil(lot);
    }

    /** Tells whether it was made here, so that what is in it is known. */
    boolean isKnown(UUID lot) {
        return goods.isGood(lot) || oilHere(lot).isPresent();
    }

    private Optional<Stock.OfOil> oilHere(UUID lot) {
        return oils.left().stream().filter(oil -> oil.id().equals(lot)).findFirst();
    }

    Set<String> ofBatch(UUID batch) {
        return Recipient.borne(batches.sheet(batch).plan().request());
    }

    private Set<String> oil(UUID lot) {
        PlanRequest request = batches.sheet(
                        oilHere(lot).orElseGet(() -> oils.find(lot)).batch())
                .plan()
                .request();
        return Recipient.borne(request);
    }

    private Set<String> made(MakingCourse course) {
        Set<String> borne = new TreeSet<>();
        for (Formula.Part part : course.formula().parts()) {
            String key = part.stuff().key();
            if (key.startsWith(GoodsLabel.INFUSED)) {
                borne.addAll(oil(UUID.fromString(key.substring(GoodsLabel.INFUSED.length()))));
            } else {
                add(borne, key);
            }
        }
        course.stirred().forEach(one -> add(borne, one.addition().key()));
        return borne;
    }

    private void add(Set<String> borne, String key) {
        borne.add(Recipient.trait(key));
        catalogue.carriers().stream()
                .filter(kind -> kind.key().equals(key))
                .forEach(kind -> borne.addAll(Bearing.carrier(kind)));
        materia.supply(key).ifPresent(kind -> borne.addAll(Bearing.supply(kind)));
    }
}
