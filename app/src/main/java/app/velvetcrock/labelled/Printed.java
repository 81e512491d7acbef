package app.velvetcrock.labelled;

import app.velvetcrock.core.label.LabelLine;
import app.velvetcrock.core.label.Paper;
import app.velvetcrock.core.label.Truth;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * A label as it was printed, or written by hand.
 *
 * @param job all that was printed at once
 * @param code eight signs by which it is found, from its QR code or typed
 * @param paper absent for what was written by hand
 * @param truth what has to be so still for it to be true
 * @param by who printed it
 */
public record Printed(
        UUID id,
        UUID job,
        String code,
        Of of,
        int copies,
        Optional<Paper> paper,
        Start start,
        boolean sale,
        Truth truth,
        List<LabelLine> lines,
        Instant at,
        UUID by,
        boolean gone) {

    public Printed {
        lines = List.copyOf(lines);
    }

    /** What it is on. */
    public record Of(Kind kind, UUID id) {}

    /** Where on the sheet it was begun, counted from nought, and how far the printer was made up for, mm. */
    public record Start(int first, double right, double down) {}

    /** What a label is of. */
    public enum Kind {
        BATCH,
        LOT,
        /** A dot on the lid of a jar that infuses. */
        DOT,
        /** The same on a tin's or a bottle's. */
        LID,
        /** The sheet that goes along with a batch. */
        SHEET;

        /** Tells whether what it is on is a batch. */
        public boolean isOfBatch() {
            return this == BATCH || this == DOT || this == SHEET;
        }

        /** Tells whether it is what a thing must have; a dot or a sheet is an extra. */
        public boolean isLabel() {
            return this == BATCH || this == LOT;
        }
    }

    public boolean isByHand() {
        return paper.isEmpty();
    }
}
