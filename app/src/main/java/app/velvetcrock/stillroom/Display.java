package app.velvetcrock.stillroom;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;

/**
 * How one person sees every page: it goes with the person, not with the household.
 *
 * @param theme light, dark, or as the device asks
 * @param typeSize how large letters are, beside what the browser is set to
 * @param contrast stronger lines and no soft words, or as the device asks
 * @param hand on which side of a phone the thumb is
 */
@Embeddable
public record Display(
        @Enumerated(EnumType.STRING) Theme theme,
        @Enumerated(EnumType.STRING) TypeSize typeSize,
        @Enumerated(EnumType.STRING) Contrast contrast,
        @Enumerated(EnumType.STRING) Hand hand) {

    /** Until somebody says otherwise. */
    public static final Display USUAL = new Display(Theme.DEVICE, TypeSize.USUAL, Contrast.DEVICE, Hand.RIGHT);

    /** Light, dark, or as the device asks. */
    public enum Theme {
        DEVICE,
        LIGHT,
        DARK
    }

    /** Of the usual size: as it is, a quarter more, half as much again, twice. */
    public enum TypeSize {
        USUAL,
        LARGE,
        LARGER,
        TWICE
    }

    /** As the device asks, or high in any case. */
    public enum Contrast {
        DEVICE,
        HIGH
    }

    /** The one that is free. */
    public enum Hand {
        RIGHT,
        LEFT
    }
}
