package app.velvetcrock.cupboard;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Oils and made things as they stand on the Cupboard's boards: what is to be used first on the uppermost. */
final class CupboardBoards {

    private static final int A_MONTH = 30;
    private static final int HALF_A_YEAR = 183;

    private CupboardBoards() {}

    /** One of the things that stand side by side: an oil or a made thing. */
    record Standing(@Nullable OilOnShelf oil, @Nullable GoodOnShelf good, LocalDate useBy) {}

    /** A board and what stands on it, in the order it should be used. */
    record Board(String head, String mark, List<Standing> things) {}

    /** The boards on which anything stands. */
    static List<Board> of(List<OilOnShelf> oils, List<GoodOnShelf> goods, LocalDate today) {
        List<Standing> all = Stream.concat(
                        oils.stream()
                                .map(one -> new Standing(one, null, one.oil().useBy())),
                        goods.stream()
                                .map(one -> new Standing(null, one, one.good().useBy())))
                .sorted(Comparator.comparing(Standing::useBy))
                .toList();
        List<Board> boards = new ArrayList<>();
        put(boards, "Past their date", "bad-word", all, LocalDate.MIN, today);
        put(boards, "Use first: within a month", "", all, today, today.plusDays(A_MONTH + 1));
        put(boards, "Within half a year", "", all, today.plusDays(A_MONTH + 1), today.plusDays(HALF_A_YEAR + 1));
        put(boards, "Later", "", all, today.plusDays(HALF_A_YEAR + 1), LocalDate.MAX);
        return boards;
    }

    private static void put(
            List<Board> boards, String head, String mark, List<Standing> all, LocalDate from, LocalDate until) {
        List<Standing> on = all.stream()
                .filter(one -> !one.useBy().isBefore(from) && one.useBy().isBefore(until))
                .toList();
        if (!on.isEmpty()) {
            boards.add(new Board(head, mark, on));
        }
    }
}
