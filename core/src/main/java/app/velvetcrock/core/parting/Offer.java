package app.velvetcrock.core.parting;

/**
 * What a thing costs at a stall, in the currency's smallest coin.
 *
 * @param each of one
 * @param forSome so many together; none where there is no such offer
 * @param together what those cost
 */
public record Offer(long each, int forSome, long together) {

    public static Offer of(long each) {
        return new Offer(each, 0, 0);
    }

    /** What so many cost: as often as the offer goes into them, and the rest one by one. */
    public long price(int pieces) {
        return forSome < 2 ? each * pieces : pieces / forSome * together + pieces % forSome * each;
    }
}
