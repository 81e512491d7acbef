package app.velvetcrock.pan;

import app.velvetcrock.core.making.Formula.Role;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.melt.MixPlan;
import app.velvetcrock.core.melt.PanThing;
import app.velvetcrock.stillroom.House;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** One thing of a melt swapped for another, or left out, its firmness kept: what becomes of wax, cost, date and cautions. */
@Controller
class PanSwaps {

    private final PanDesk desks;
    private final Clock clock;

    PanSwaps(PanDesk desks, Clock clock) {
        this.desks = desks;
        this.clock = clock;
    }

    /** A melt in a row; {@code href} empty for the one there is. */
    record Row(String what, String firmness, String parts, String cost, String till, String cautions, String href) {}

    /** What is to be tried, in words. */
    private record Try(String what, PanForm form) {}

    @GetMapping("/pan/swaps")
    String swaps(PanForm form, Model model) {
        House house = desks.house();
        var today = house.dayOf(clock.instant());
        PanDesk.Desk desk = desks.desk(form, today);
        List<Row> rows = new ArrayList<>();
        desk.planned().ifPresent(planned -> {
            rows.add(row("As it is", planned, "", house));
            for (Try one : tries(desk, planned)) {
                desks.desk(one.form(), today)
                        .planned()
                        .ifPresent(other ->
                                rows.add(row(one.what(), other, one.form().address(), house)));
            }
        });
        model.addAttribute("rows", rows);
        model.addAttribute("back", desk.form().address());
        return "pan/swaps";
    }

    /** Its wax is worked out anew for the same firmness, so that whatever is swapped, that stays. */
    private static List<Try> tries(PanDesk.Desk desk, MixPlan planned) {
        PanForm form = desk.form();
        String firm = Decimals.upTo(planned.read().melt().firmness().value(), 1);
        List<Try> tries = new ArrayList<>();
        planned.read().wax().ifPresent(wax -> desk.shelves().waxes().stream()
                .filter(other -> !other.key().equals(wax.key()))
                .forEach(other -> tries.add(new Try(
                        "%s for %s".formatted(other.common(), wax.common()),
                        form.swapped(other.name(), firm, PanForm.said(form.with()))))));
        List<PanForm.Row> rows = PanForm.said(form.with());
        for (int i = 0; i < rows.size() && i < planned.read().others().size(); i++) {
            PanThing one = planned.read().others().get(i);
            tries.add(new Try("without " + one.common(), form.swapped(form.wax(), firm, without(rows, i))));
            for (PanThing other : desk.shelves().butters()) {
                boolean fresh = planned.read().others().stream()
                        .noneMatch(had -> had.key().equals(other.key()));
                if (fresh) {
                    tries.add(new Try(
                            "%s for %s".formatted(other.common(), one.common()),
                            form.swapped(form.wax(), firm, with(rows, i, other))));
                }
            }
        }
        return tries;
    }

    private static List<PanForm.Row> without(List<PanForm.Row> rows, int at) {
        List<PanForm.Row> fewer = new ArrayList<>(rows);
        fewer.remove(at);
        return fewer;
    }

    private static List<PanForm.Row> with(List<PanForm.Row> rows, int at, PanThing other) {
        List<PanForm.Row> others = new ArrayList<>(rows);
        others.set(at, new PanForm.Row(other.name(), rows.get(at).share()));
        return others;
    }

    private Row row(String what, MixPlan planned, String href, House house) {
        var formula = planned.read().melt().formula();
        int count = planned.filling().map(filling -> filling.count()).orElse(0);
        return new Row(
                what,
                "Firmness " + Decimals.upTo(planned.read().melt().firmness().value(), 1),
                formula.parts().stream()
                        .filter(part -> part.stuff().role() != Role.OIL)
                        .map(part -> "%s %s"
                                .formatted(house.mass(part.mass()), part.stuff().name()))
                        .collect(Collectors.joining(", ")),
                desks.cost(planned)
                        .map(cost -> (count > 0
                                        ? house.money(Math.round(cost.minor() / (double) count)) + " each"
                                        : house.money(cost.minor()))
                                + (cost.unpriced().isEmpty() ? "" : ", in part"))
                        .orElse("not known"),
                house.date(planned.keeping().date()),
                planned.cautions().stream()
                        .filter(caution -> caution.onLabel())
                        .map(caution -> caution.head())
                        .distinct()
                        .collect(Collectors.joining(", ")),
                href);
    }
}
