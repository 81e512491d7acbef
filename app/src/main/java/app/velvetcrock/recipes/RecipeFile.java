package app.velvetcrock.recipes;

import app.velvetcrock.core.pan.FormulaRecipe;
import app.velvetcrock.core.planning.PlanRecipe;
import com.networknt.schema.Error;
import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** Writes recipes into their open form and reads them back, held to the published schema. */
@Component
public class RecipeFile {

    /** Far more than a recipe can be. */
    public static final int LONGEST = 60_000;

    private static final int MOST_WRONGS = 3;

    private final JsonMapper mapper =
            JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();
    private final Schema schema = schema("recipe");
    private final Schema ofMakings = schema("making-recipe");

    private static Schema schema(String name) {
        return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(shipped(name), InputFormat.JSON);
    }

    /** A file that is no recipe; its message says why, for whoever sent it. */
    public static final class NoRecipeException extends RuntimeException {

        private static final long serialVersionUID = 1;

        NoRecipeException(String message) {
            super(message);
        }
    }

    public String write(PlanRecipe recipe) {
        return mapper.writeValueAsString(OpenRecipe.of(recipe));
    }

    /**
     * Reads a recipe.
     *
     * @throws NoRecipeException where it is too long, cut short, of another kind, or outside what its way allows
     */
    public PlanRecipe read(String text) {
        return read(text, schema, OpenRecipe.class, OpenRecipe::recipe);
    }

    public String write(FormulaRecipe recipe) {
        return mapper.writeValueAsString(OpenFormula.of(recipe));
    }

    /** Reads a recipe of something made; refused as any other. */
    public FormulaRecipe readMaking(String text) {
        return read(text, ofMakings, OpenFormula.class, OpenFormula::recipe);
    }

    /** Tells which of the two a file says it is. */
    public boolean isOfMaking(String text) {
        return text.length() <= LONGEST && text.contains("\"" + OpenFormula.FORMAT + "\"");
    }

    private <O, R> R read(String text, Schema against, Class<O> open, Function<O, R> means) {
        if (text.length() > LONGEST) {
            throw new NoRecipeException(
                    "This is %d letters long; a recipe has at most %d.".formatted(text.length(), LONGEST));
        }
        try {
            mapper.readTree(text);
            List<Error> wrongs = against.validate(text, InputFormat.JSON);
            if (!wrongs.isEmpty()) {
                throw new NoRecipeException("It is not in the form of a recipe: "
                        + wrongs.stream()
                                .limit(MOST_WRONGS)
                                .map(RecipeFile::words)
                                .collect(Collectors.joining("; ")) + ".");
            }
            return means.apply(mapper.readValue(text, open));
        } catch (JacksonException notJson) {
            throw new NoRecipeException("It cannot be read as a recipe file; perhaps it was cut short.");
        } catch (IllegalArgumentException outside) {
            throw new NoRecipeException(
                    "It is a recipe, but not one that can be made here: " + outside.getMessage() + ".");
        }
    }

    private static String words(Error wrong) {
        String where = wrong.getInstanceLocation().toString();
        String what = wrong.getMessage();
        String all = (where.isEmpty() || where.equals("$") ? "" : where + " ") + what;
        return all.length() > 120 ? all.substring(0, 120) + "…" : all;
    }

    private static String shipped(String name) {
        try (InputStream in = RecipeFile.class.getResourceAsStream("/formats/%s.schema.json".formatted(name))) {
            if (in == null) {
                throw new IllegalStateException("the recipe schema is not on the class path");
            }
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
