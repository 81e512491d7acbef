package app.velvetcrock.recipes;

import app.velvetcrock.catalogue.Catalogue;
import app.velvetcrock.core.making.Setting;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.recipe.Recipe;
import app.velvetcrock.core.recipe.RecipeReader;
import app.velvetcrock.core.recipe.Things;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.web.NotHere;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Ingredient lists the household keeps, read by the core whenever they are shown. */
@Service
public class RecipeBox {

    private final RecipeCardRepository cards;
    private final Catalogue catalogue;
    private final Materia materia;
    private final Setting setting = Setting.shipped();
    private final Clock clock;

    RecipeBox(RecipeCardRepository cards, Catalogue catalogue, Materia materia, Clock clock) {
        this.cards = cards;
        this.catalogue = catalogue;
        this.materia = materia;
        this.clock = clock;
    }

    /** A kept list. */
    public record Card(UUID id, String title, String body) {}

    @Transactional(readOnly = true)
    public List<Card> kept() {
        return cards.kept().stream()
                .map(card -> new Card(card.id, card.title, card.body))
                .toList();
    }

    @Transactional(readOnly = true)
    public Card find(UUID id) {
        RecipeCard card = cards.findById(id).orElseThrow(() -> new NotHere("that recipe"));
        return new Card(card.id, card.title, card.body);
    }

    @Transactional
    public UUID keep(String title, String body) {
        return cards.saveAndFlush(new RecipeCard(title, body, clock.instant())).id;
    }

    /** Removes a list, or brings it back. */
    @Transactional
    public void remove(UUID id, boolean removed) {
        cards.findById(id).orElseThrow(() -> new NotHere("that recipe")).removedAt = removed ? clock.instant() : null;
    }

    /** Reads a list by everything the household knows. */
    @Transactional(readOnly = true)
    public Recipe read(String body, House house) {
        return Recipe.of(
                new RecipeReader(house.reader(), things()).read(body),
                setting,
                house.settings().room());
    }

    /** All there is to speak of in this household. */
    @Transactional(readOnly = true)
    public Things things() {
        return Things.of(materia, catalogue.herbs(), catalogue.carriers());
    }
}
