package app.velvetcrock.cupboard;

import app.velvetcrock.batch.Batches;
import app.velvetcrock.batch.Makings;
import app.velvetcrock.catalogue.Catalogue;
import app.velvetcrock.core.caution.Bearing;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.pan.MakingCourse;
import app.velvetcrock.core.parting.Recipient;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.planning.Planner;
import app.velvetcrock.stock.Goods;
import app.velvetcrock.stock.Oils;
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

    private Set<String> oil(UUID lot) {
        PlanRequest request = batches.sheet(oils.find(lot).batch()).plan().request();
        Set<String> borne = new TreeSet<>(Planner.borne(request));
        request.herbs().forEach(herb -> borne.add(Recipient.trait(herb.kind().key())));
        request.carriers()
                .parts()
                .forEach(part -> borne.add(Recipient.trait(part.carrier().kind().key())));
        return borne;
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
