package app.velvetcrock.stock.deeds;

/** Does some kinds of deeds at the stores; says which when the application starts. */
public interface StoreHands {

    void takeUp(StoreDeeds.Work work);
}
