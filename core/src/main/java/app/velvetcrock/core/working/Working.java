package app.velvetcrock.core.working;

import java.util.ArrayList;
import java.util.List;

/**
 * How a figure was worked out: the formula in words and its terms, the limiting line first where one limits.
 */
public record Working(String formula, List<Term> terms) {

    public Working {
        terms = List.copyOf(terms);
    }

    public static Builder of(String formula) {
        return new Builder(formula);
    }

    /** Tells whether any term is an estimate, so that the figure can be marked as one. */
    public boolean hasEstimate() {
        return terms.stream().anyMatch(term -> term.origin() == Origin.ESTIMATE);
    }

    /** Gathers terms in the order they are shown. */
    public static final class Builder {

        private final String formula;
        private final List<Term> terms = new ArrayList<>();

        private Builder(String formula) {
            this.formula = formula;
        }

        public Builder given(String name, Figure figure) {
            return add(name, figure, Origin.GIVEN);
        }

        public Builder standard(String name, Figure figure) {
            return add(name, figure, Origin.STANDARD);
        }

        public Builder estimate(String name, Figure figure) {
            return add(name, figure, Origin.ESTIMATE);
        }

        public Builder result(String name, Figure figure) {
            return add(name, figure, Origin.WORKED_OUT);
        }

        public Builder add(String name, Figure figure, Origin origin) {
            terms.add(new Term(name, figure, origin));
            return this;
        }

        public Working build() {
            return new Working(formula, terms);
        }
    }
}
