package app.velvetcrock.stall;

import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Goods;
import app.velvetcrock.stock.Oils;
import app.velvetcrock.web.Fields;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What there is that could leave the house by the piece: made things, and oils in their bottles. */
@Component
class Leavable {

    private final Goods goods;
    private final Oils oils;
    private final Households households;

    Leavable(Goods goods, Oils oils, Households households) {
        this.goods = goods;
        this.oils = oils;
        this.households = households;
    }

    /** A lot of them, as it is chosen. */
    record One(UUID lot, String name, long left) {

        Fields.Option option() {
            return new Fields.Option(lot.toString(), "%s (%d)".formatted(name, left));
        }
    }

    @Transactional(readOnly = true)
    List<One> all() {
        House house = households.current();
        List<One> all = new ArrayList<>();
        goods.inStock().stream()
                .filter(Stock.OfGood::inPieces)
                .map(good -> new One(good.id(), "%s, %s".formatted(good.name(), house.mass(good.each())), good.left()))
                .forEach(all::add);
        oils.left().stream()
                .filter(oil -> oil.bottle().isPresent())
                .map(oil -> new One(oil.id(), "%s, %s".formatted(oil.name(), house.volume(oil.volumeLeft())), 1))
                .forEach(all::add);
        return all.stream().sorted(Comparator.comparing(One::name)).toList();
    }
}
