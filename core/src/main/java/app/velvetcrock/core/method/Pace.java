package app.velvetcrock.core.method;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;

/** What a stage is counted in: calendar days in the household's zone, or hours of elapsed time (craft: timetables). */
public enum Pace {
    DAYS("day", "days") {
        @Override
        public Instant after(Instant start, int count, ZoneId zone) {
            return start.atZone(zone)
                    .toLocalDate()
                    .plusDays(count)
                    .atTime(MORNING)
                    .atZone(zone)
                    .toInstant();
        }
    },
    HOURS("hour", "hours") {
        @Override
        public Instant after(Instant start, int count, ZoneId zone) {
            return start.plus(Duration.ofHours(count));
        }
    },
    MINUTES("minute", "minutes") {
        @Override
        public Instant after(Instant start, int count, ZoneId zone) {
            return start.plus(Duration.ofMinutes(count));
        }

        /** Whole and half hours from two on are said in hours. */
        @Override
        public String words(long count) {
            if (count < 2 * MINUTES_PER_HOUR || count % HALF_HOUR != 0) {
                return super.words(count);
            }
            return count % MINUTES_PER_HOUR == 0
                    ? HOURS.words(count / MINUTES_PER_HOUR)
                    : count / MINUTES_PER_HOUR + "½ hours";
        }
    };

    /** When a day's tasks are put to hand, until the household says when it is at home. */
    public static final LocalTime MORNING = LocalTime.of(8, 0);

    private static final int HALF_HOUR = 30;
    private static final int MINUTES_PER_HOUR = 60;
    private static final int MINUTES_PER_DAY = 1440;

    private final String one;
    private final String many;

    Pace(String one, String many) {
        this.one = one;
        this.many = many;
    }

    /** The moment {@code count} of these after {@code start}; a count of days comes out at the morning of that day. */
    public abstract Instant after(Instant start, int count, ZoneId zone);

    /** Writes a count: "1 day", "8 hours". */
    public String words(long count) {
        return count == 1 ? "1 " + one : count + " " + many;
    }

    /** How long one of these is, a day as 24 hours. */
    public int minutes() {
        return switch (this) {
            case DAYS -> MINUTES_PER_DAY;
            case HOURS -> MINUTES_PER_HOUR;
            case MINUTES -> 1;
        };
    }

    /** Writes a count briefly: "8 h", "35 d". */
    public String brief(long count) {
        return switch (this) {
            case DAYS -> count + " d";
            case HOURS -> count + " h";
            case MINUTES -> words(count)
                    .replace(" hours", " h")
                    .replace(" minutes", " min")
                    .replace(" minute", " min");
        };
    }

    public String many() {
        return many;
    }
}
