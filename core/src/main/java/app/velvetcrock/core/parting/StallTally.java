package app.velvetcrock.core.parting;

/**
 * A thing's day at the stall, by the piece.
 *
 * @param opened testers, which never go back to stock
 */
public record StallTally(int brought, int sold, int given, int opened, int broken) {

    /** What goes home again; less than nothing where more left than was brought. */
    public int home() {
        return brought - sold - given - opened - broken;
    }

    /**
     * The till of a day, in the smallest coin.
     *
     * @param begun the float it began with
     * @param cash taken in cash, less what was given back
     * @param card taken by card, less what was given back
     */
    public record Till(long begun, long cash, long card) {

        /** What has to be in the box. */
        public long inTheBox() {
            return begun + cash;
        }

        public long takings() {
            return cash + card;
        }

        /** By how much the box is over, or under where it is negative. */
        public long over(long counted) {
            return counted - inTheBox();
        }
    }
}
