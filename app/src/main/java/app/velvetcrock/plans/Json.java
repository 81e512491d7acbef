package app.velvetcrock.plans;

import app.velvetcrock.core.charge.OilWish;
import app.velvetcrock.core.charge.Remedy;
import app.velvetcrock.core.pan.MakingLine;
import com.fasterxml.jackson.annotation.JsonAutoDetect;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import org.springframework.stereotype.Component;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * Writes frozen plans and log values, and reads them back. The core's records carry their units in their names, so the JSON
 * does too; the core itself knows nothing of it.
 */
@Component
public class Json {

    private final JsonMapper mapper = JsonMapper.builder()
            .disable(SerializationFeature.FAIL_ON_EMPTY_BEANS)
            // A vessel from before pots could be one says nothing of being open: it is a jar.
            .disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .changeDefaultVisibility(seen -> seen.withIsGetterVisibility(JsonAutoDetect.Visibility.NONE))
            .addMixIn(OilWish.class, OilWishNames.class)
            .addMixIn(Remedy.class, RemedyNames.class)
            .addMixIn(MakingLine.class, MakingLineNames.class)
            .build();

    public String write(Object value) {
        return mapper.writeValueAsString(value);
    }

    public <T> T read(String text, Class<T> type) {
        return mapper.readValue(text, type);
    }

    /** A value as it would be written, to be rearranged. */
    JsonNode tree(Object value) {
        return mapper.valueToTree(value);
    }

    /** A stored value, to be rearranged before it is read. */
    JsonNode parse(String text) {
        return mapper.readTree(text);
    }

    public <T> T read(JsonNode tree, Class<T> type) {
        return mapper.treeToValue(tree, type);
    }

    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "how")
    @JsonSubTypes({
        @JsonSubTypes.Type(value = OilWish.ToCover.class, name = "to-cover"),
        @JsonSubTypes.Type(value = OilWish.ByRatio.class, name = "ratio"),
        @JsonSubTypes.Type(value = OilWish.ByCups.class, name = "cups"),
        @JsonSubTypes.Type(value = OilWish.ToFill.class, name = "to-fill"),
        @JsonSubTypes.Type(value = OilWish.Above.class, name = "above"),
        @JsonSubTypes.Type(value = OilWish.Exactly.class, name = "exactly")
    })
    private interface OilWishNames {}

    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "how")
    @JsonSubTypes({
        @JsonSubTypes.Type(value = Remedy.MoreOil.class, name = "more-oil"),
        @JsonSubTypes.Type(value = Remedy.FinerCut.class, name = "finer-cut"),
        @JsonSubTypes.Type(value = Remedy.LessHerb.class, name = "less-herb"),
        @JsonSubTypes.Type(value = Remedy.SplitOver.class, name = "split"),
        @JsonSubTypes.Type(value = Remedy.OtherJar.class, name = "other-jar")
    })
    private interface RemedyNames {}

    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "what")
    @JsonSubTypes({
        @JsonSubTypes.Type(value = MakingLine.Begun.class, name = "begun"),
        @JsonSubTypes.Type(value = MakingLine.Did.class, name = "did"),
        @JsonSubTypes.Type(value = MakingLine.Skipped.class, name = "skipped"),
        @JsonSubTypes.Type(value = MakingLine.Tested.class, name = "tested"),
        @JsonSubTypes.Type(value = MakingLine.Corrected.class, name = "corrected"),
        @JsonSubTypes.Type(value = MakingLine.OffHeat.class, name = "off-heat"),
        @JsonSubTypes.Type(value = MakingLine.Read.class, name = "read"),
        @JsonSubTypes.Type(value = MakingLine.Hazed.class, name = "hazed"),
        @JsonSubTypes.Type(value = MakingLine.Added.class, name = "added"),
        @JsonSubTypes.Type(value = MakingLine.Poured.class, name = "poured"),
        @JsonSubTypes.Type(value = MakingLine.TurnedOut.class, name = "turned-out"),
        @JsonSubTypes.Type(value = MakingLine.Smelled.class, name = "smelled"),
        @JsonSubTypes.Type(value = MakingLine.Noted.class, name = "noted")
    })
    private interface MakingLineNames {}
}
