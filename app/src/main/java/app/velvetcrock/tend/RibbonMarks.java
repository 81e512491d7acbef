package app.velvetcrock.tend;

import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.course.TaskKind;

/** The mark each kind of line has on the ribbon, by the name its style and shape go by. */
record RibbonMarks() implements Line.Visitor<String> {

    private static final String NOTE = "NOTED";
    private static final String DIAMOND = "TENDED";

    @Override
    public String charged(Line.Charged line) {
        return "CHARGED";
    }

    @Override
    public String toppedUp(Line.ToppedUp line) {
        return "TOPPED_UP";
    }

    @Override
    public String tended(Line.Tended line) {
        return line.key().kind() == TaskKind.SHAKE ? "SHAKE" : DIAMOND;
    }

    @Override
    public String looked(Line.Looked line) {
        return "LOOKED";
    }

    @Override
    public String heat(Line.Heat line) {
        return "HEAT";
    }

    @Override
    public String strained(Line.Strained line) {
        return "STRAINED";
    }

    @Override
    public String settled(Line.Settled line) {
        return "SETTLED";
    }

    @Override
    public String bottled(Line.Bottled line) {
        return "BOTTLED";
    }

    @Override
    public String sniffed(Line.Sniffed line) {
        return "SNIFFED";
    }

    @Override
    public String discarded(Line.Discarded line) {
        return "DISCARDED";
    }

    @Override
    public String found(Line.Found line) {
        return NOTE;
    }

    @Override
    public String answered(Line.Answered line) {
        return NOTE;
    }

    @Override
    public String planChanged(Line.PlanChanged line) {
        return NOTE;
    }

    @Override
    public String probe(Line.Probe line) {
        return DIAMOND;
    }

    @Override
    public String turned(Line.Turned line) {
        return DIAMOND;
    }

    @Override
    public String noted(Line.Noted line) {
        return NOTE;
    }

    @Override
    public String panned(Line.Panned line) {
        return NOTE;
    }

    @Override
    public String lesson(Line.Lesson line) {
        return NOTE;
    }

    @Override
    public String corrected(Line.Corrected line) {
        return line.now().accept(this);
    }

    @Override
    public String takenBack(Line.TakenBack line) {
        return NOTE;
    }

    @Override
    public String newer(Line.Newer line) {
        return NOTE;
    }
}
