package app.velvetcrock.recipes;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface RecipeCardRepository extends JpaRepository<RecipeCard, UUID> {

    @Query("select r from RecipeCard r where r.removedAt is null order by r.title, r.createdAt limit " + Recipes.MOST)
    List<RecipeCard> kept();
}
