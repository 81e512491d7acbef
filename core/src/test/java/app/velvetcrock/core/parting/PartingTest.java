package app.velvetcrock.core.parting;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.core.caution.Caution;
import app.velvetcrock.core.caution.Cautions;
import app.velvetcrock.core.caution.Level;
import app.velvetcrock.core.caution.Use;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class PartingTest {

    private static final Cautions CAUTIONS = Cautions.shipped();

    @Test
    void seventeenPeopleATinEachThreeWithoutNuts() {
        GiftsAsked asked = GiftsAsked.read("Seventeen people, a tin each; three without nuts, one pregnant")
                .asked()
                .orElseThrow();
        assertThat(asked.each()).isEqualTo(1);
        assertThat(asked.people()).isEqualTo(17);
        assertThat(asked.groups()).extracting(GiftsAsked.Group::count).containsExactly(13, 3, 1);
        assertThat(asked.groups().get(1).who().avoids()).containsExactly("nuts");
        assertThat(asked.groups().get(2).who().uses()).containsExactly(Use.PREGNANCY);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "17 people|17|1|1",
                "two dozen people, 2 tins each|24|2|1",
                "5 friends, one with a cat and no beeswax|5|1|2",
                "2 without coconut|2|1|1",
                "four people; two babies; one nursing|4|1|3",
            })
    void aSentenceOfGifts(String said, int people, int each, int groups) {
        GiftsAsked asked = GiftsAsked.read(said).asked().orElseThrow();
        assertThat(asked.people()).isEqualTo(people);
        assertThat(asked.each()).isEqualTo(each);
        assertThat(asked.groups()).hasSize(groups);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "everybody",
                "0 people",
                "3 people, four without nuts",
                "999999999999 people",
                "17 people, three with feelings",
                "17 people, 5 people",
                ";;,,",
                "17 people, a 💐 each, x"
            })
    void whatIsNotUnderstoodIsSaid(String said) {
        GiftsAsked.Read read = GiftsAsked.read(said);
        assertThat(read.asked()).isEmpty();
        assertThat(read.wrong()).isNotBlank();
    }

    @Test
    void noSentenceThrows() {
        Random random = new Random(7);
        List<String> words = List.of(
                "seventeen",
                "people",
                "1/2",
                ",",
                ";",
                "without",
                "nuts",
                "each",
                "-3",
                "½",
                "dozen",
                "cat",
                "薬",
                "9e9");
        for (int i = 0; i < 2_000; i++) {
            StringBuilder said = new StringBuilder();
            for (int j = random.nextInt(12); j > 0; j--) {
                said.append(words.get(random.nextInt(words.size()))).append(' ');
            }
            GiftsAsked.Read read = GiftsAsked.read(said.toString());
            assertThat(read.asked().isPresent())
                    .as(said.toString())
                    .isNotEqualTo(!read.wrong().isEmpty());
            read.asked().ifPresent(asked -> assertThat(asked.people()).isBetween(1, GiftsAsked.MOST));
        }
    }

    private static List<String> heads(Recipient who, String... borne) {
        return who.against(Set.of(borne), CAUTIONS).stream().map(Caution::head).toList();
    }

    /** By every caution that fits her: what she must not have, and what the table says of each use of hers. */
    /** What she reacted to is not for her; of a relative she is asked first; what holds neither is as before. */
    @Test
    void whatSheReactedToIsKnownOfHer() {
        Recipient inga = new Recipient(
                Set.of(), Set.of(), List.of(new Recipient.Reacts("yarrow", "yarrow", Set.of("daisy", "arnica"))));
        assertThat(inga.against(Set.of("kind:yarrow", "daisy"), Cautions.shipped()))
                .anySatisfy(caution -> {
                    assertThat(caution.head()).isEqualTo("has yarrow");
                    assertThat(caution.level()).isEqualTo(Level.REFUSE);
                });
        assertThat(inga.against(Set.of("kind:calendula", "daisy"), Cautions.shipped()))
                .anySatisfy(caution -> {
                    assertThat(caution.head()).isEqualTo("has a relative of yarrow");
                    assertThat(caution.level()).isEqualTo(Level.WARN);
                });
        assertThat(inga.against(Set.of("kind:nettle"), Cautions.shipped()))
                .noneMatch(caution -> caution.head().contains("yarrow"));
    }

    @Test
    void whatSpeaksAgainstGivingItToHer() {
        Recipient noNuts = new Recipient(Set.of(), Set.of("nuts"));
        assertThat(heads(noNuts, "tree-nut", "any-fat")).containsExactly("has tree nuts");
        assertThat(heads(noNuts, "olive", "any-fat")).isEmpty();
        assertThat(heads(Recipient.ANYBODY, "tree-nut", "daisy"))
                .as("nobody asked")
                .isEmpty();
        Recipient pregnant = new Recipient(Set.of(Use.PREGNANCY), Set.of());
        assertThat(pregnant.against(Set.of("not-in-pregnancy", "any-herb"), CAUTIONS))
                .anyMatch(caution -> caution.level() == Level.REFUSE);
        assertThat(heads(new Recipient(Set.of(Use.ANIMALS), Set.of()), "any-herb"))
                .isNotEmpty();
        assertThat(heads(new Recipient(Set.of(Use.NEWBORN), Set.of()), "any-herb"))
                .isNotEmpty();
        Recipient several = new Recipient(Set.of(Use.PREGNANCY), Set.of("medicines", "bees"));
        List<Caution> all = several.against(Set.of("medicines", "beeswax", "ask-in-pregnancy"), CAUTIONS);
        assertThat(all).extracting(Caution::head).startsWith("has bee products", "has what acts on medicines");
        assertThat(all).extracting(Caution::level).isSorted();
        assertThat(all).doesNotHaveDuplicates();
    }

    /** Every trait somebody may avoid is one that the table of who it is for knows. */
    @Test
    void whatIsAvoidedIsInTheTable() {
        Set<String> known = CAUTIONS.traits();
        Recipient.AVOIDABLE.values().forEach(one -> assertThat(one.traits())
                .as(one.word())
                .allMatch(trait -> known.contains(trait) || trait.equals("soy")));
    }

    /** Seven at 6.50 with three for 15: two times three and one more are 36.50. */
    @Test
    void threeForFifteen() {
        Offer offer = new Offer(650, 3, 1500);
        assertThat(List.of(1, 2, 3, 4, 7)).extracting(offer::price).containsExactly(650L, 1300L, 1500L, 2150L, 3650L);
        assertThat(Offer.of(650).price(3)).isEqualTo(1950);
    }

    /** Twelve brought, one opened, six sold, one given, one broken: three go home. Float 40.00 and 39.00 in cash are 79.00 in the box. */
    @Test
    void aDayAtTheStall() {
        assertThat(new StallTally(12, 6, 1, 1, 1).home()).isEqualTo(3);
        StallTally.Till till = new StallTally.Till(4000, 3900, 1300);
        assertThat(till.inTheBox()).isEqualTo(7900);
        assertThat(till.takings()).isEqualTo(5200);
        assertThat(till.over(7850)).isEqualTo(-50);
    }
}
