package app.velvetcrock.core.course;

import app.velvetcrock.core.keeping.Antioxidant;
import app.velvetcrock.core.kitchen.Wording;
import java.util.ArrayList;
import java.util.List;

/** The one wording of a line of the log, wherever it is told. */
public record LineWords(Wording say) implements Line.Visitor<String> {

    @Override
    public String charged(Line.Charged line) {
        return (line.byHand()
                        ? "Charged by the handful: about %s of herb, %s of oil"
                        : "Charged: %s of herb, %s of oil")
                .formatted(say.mass(line.herb()), say.volume(line.oil()));
    }

    @Override
    public String toppedUp(Line.ToppedUp line) {
        return "Topped up with %s from %s"
                .formatted(say.volume(line.oil()), line.bottle().name());
    }

    @Override
    public String tended(Line.Tended line) {
        return switch (line.key().kind()) {
            case SHAKE -> "Shaken";
            case PUSH_UNDER -> "Herb pushed under";
            case HEAT_ON -> "Heat on";
            case HEAT_OFF -> "Heat off";
            case WATER -> "Water seen to";
            case FRIDGE_IN -> "Put into the refrigerator";
            case FRIDGE_OUT -> "Taken out of the refrigerator";
            case SPIRIT_GONE -> "No spirit is left, by weight and by smell";
            case NEXT -> "Next stage begun";
            case LOOK, READ, STRAIN, DECANT, USE_FIRST, PAN -> line.key().kind().word() + ": done";
        };
    }

    @Override
    public String looked(Line.Looked line) {
        return "Looked: " + line.look().words();
    }

    @Override
    public String heat(Line.Heat line) {
        return "Read " + say.temperature(line.temperature());
    }

    @Override
    public String strained(Line.Strained line) {
        Seen seen = line.seen();
        String words = "Strained, %s: %s came out; %s, %s"
                .formatted(
                        line.pressing().word(),
                        say.volume(line.out()),
                        seen.clarity().word(),
                        seen.smell().word());
        if (seen.water().millilitres() > 0) {
            words += ", %s of water under it".formatted(say.volume(seen.water()));
        }
        return seen.colour().isBlank() ? words : words + ", " + seen.colour();
    }

    @Override
    public String settled(Line.Settled line) {
        return "Settled and decanted: %s left, %s of water under it"
                .formatted(say.volume(line.left()), say.volume(line.water()));
    }

    @Override
    public String bottled(Line.Bottled line) {
        String bottles = "Bottled %d × %s".formatted(line.count(), say.volume(line.size()));
        return line.words()
                .or(() -> line.into().map(into -> "%s%s, %s, %s; use by %s"
                        .formatted(
                                bottles,
                                into.antioxidant() == Antioxidant.NONE
                                        ? ""
                                        : " with " + into.antioxidant().word(),
                                into.glass().word(),
                                into.place().word(),
                                say.date(into.useBy()))))
                .orElse(bottles);
    }

    @Override
    public String sniffed(Line.Sniffed line) {
        return line.passed()
                ? "Sniffed and good: use by %s, %s".formatted(say.date(line.useBy()), line.why())
                : "Sniffed, and not good";
    }

    @Override
    public String discarded(Line.Discarded line) {
        return "Thrown out: %s. %s".formatted(line.ruin().word(), line.lesson()).strip();
    }

    @Override
    public String found(Line.Found line) {
        return "Found: %s".formatted(line.what().word())
                + (line.words().isBlank() ? "" : ". " + line.words().strip());
    }

    @Override
    public String answered(Line.Answered line) {
        return "Answered: %s, %s".formatted(line.what().word(), line.dealtWith() ? "it is dealt with" : "it was not so")
                + (line.words().isBlank() ? "" : ". " + line.words().strip());
    }

    @Override
    public String planChanged(Line.PlanChanged line) {
        List<String> words = new ArrayList<>();
        line.length()
                .ifPresent(length -> words.add("%s for %s instead of %s"
                        .formatted(
                                line.stage(),
                                line.pace().words(length),
                                line.pace().words(line.before()))));
        line.strainFrom().ifPresent(at -> words.add("not strained before " + say.moment(at)));
        return "Plan changed: %s, because %s".formatted(String.join(", ", words), line.reason());
    }

    @Override
    public String probe(Line.Probe line) {
        return line.in() ? "Probe put in: " + line.name() : "Probe taken out: " + line.name();
    }

    @Override
    public String turned(Line.Turned line) {
        String words = line.setting()
                .map(to -> "turned to " + to.word())
                .or(() -> line.source().map(source -> "on " + source.name()))
                .orElse(line.change().word());
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }

    @Override
    public String noted(Line.Noted line) {
        return line.words();
    }

    @Override
    public String panned(Line.Panned line) {
        return line.step().words(say);
    }

    @Override
    public String lesson(Line.Lesson line) {
        return "Next time: " + line.words();
    }

    @Override
    public String corrected(Line.Corrected line) {
        return line.now().accept(this);
    }

    @Override
    public String newer(Line.Newer line) {
        return "Written by a newer release: what it says is shown once this one is up to date";
    }

    @Override
    public String takenBack(Line.TakenBack line) {
        return "Took a line back";
    }
}
